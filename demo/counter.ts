import { createServer, connect } from 'node:net';

/**
 * Stands between a browser and the server, and counts every byte to and fro. Asked for it, it says how many and begins
 * anew.
 */
export function countBetween(port: number, target: number): void {
    let bytes = 0;
    createServer((browser) => {
        const server = connect(target, '127.0.0.1');
        browser.on('data', (chunk) => {
            bytes += chunk.length;
        });
        server.on('data', (chunk) => {
            bytes += chunk.length;
        });
        browser.pipe(server).pipe(browser);
        browser.on('error', () => server.destroy());
        server.on('error', () => browser.destroy());
    }).listen(port, '127.0.0.1', () => console.log('ready'));
    process.stdin.on('data', () => {
        console.log(`bytes ${bytes}`);
        bytes = 0;
    });
}
