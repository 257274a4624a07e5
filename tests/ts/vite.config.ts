import { defineConfig } from 'vitest/config';

// The scripts' own tests; and the reader of fixtures, made into a file that Node runs for a test of the application.
export default defineConfig({
    root: process.cwd(),
    publicDir: false,
    build: {
        ssr: 'tests/ts/agree.ts',
        outDir: 'storage/setup/ts-tests',
        emptyOutDir: true,
        target: 'node20',
        rollupOptions: { output: { entryFileNames: 'agree.mjs' } },
    },
    // What is built stands alone; what is tested takes packages as Node finds them.
    ssr: process.env.VITEST === undefined ? { noExternal: true } : {},
    test: {
        include: ['tests/ts/**/*.test.ts'],
        environment: 'node',
        maxWorkers: 2,
        // A busy machine is no fault.
        testTimeout: 60_000,
        server: { deps: { external: [/mathjax-full/] } },
    },
});
