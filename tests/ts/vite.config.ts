import { readdirSync } from 'node:fs';
import { defineConfig } from 'vite';

// The scripts' own tests and the reader of fixtures, made into files that Node runs.
const inputs = readdirSync('tests/ts').filter((file) => file.endsWith('.test.ts') || file === 'agree.ts');

export default defineConfig({
    publicDir: false,
    build: {
        ssr: true,
        outDir: 'storage/setup/ts-tests',
        emptyOutDir: true,
        target: 'node20',
        rollupOptions: {
            input: Object.fromEntries(inputs.map((file) => [file.replace(/\.ts$/, ''), `tests/ts/${file}`])),
            output: { entryFileNames: '[name].mjs' },
        },
    },
    ssr: { noExternal: true },
});
