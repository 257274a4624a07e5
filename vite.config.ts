import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [
        laravel({
            input: [
                'resources/scss/app.scss',
                'resources/ts/pages/plain.ts',
                'resources/ts/pages/student.ts',
                'resources/ts/pages/outside.ts',
                'resources/ts/pages/desk.ts',
                'resources/ts/pages/plan.ts',
                'resources/ts/pages/try.ts',
                'resources/ts/pages/screen.ts',
                'resources/ts/worker/worker.ts',
            ],
            refresh: false,
        }),
    ],
    css: {
        preprocessorOptions: {
            scss: {
                quietDeps: true,
                silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
            },
        },
    },
    build: { target: 'es2022', assetsInlineLimit: 0 },
});
