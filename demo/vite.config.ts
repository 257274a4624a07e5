import { defineConfig } from 'vite';

// The simulated class, made into one file that Node runs; it shares the browser's code for ink.
export default defineConfig({
    publicDir: false,
    build: {
        ssr: 'demo/class.ts',
        outDir: 'storage/setup/demo',
        emptyOutDir: true,
        target: 'node20',
        rollupOptions: { output: { entryFileNames: 'class.mjs' } },
    },
    ssr: { noExternal: true },
});
