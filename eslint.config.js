import eslint from '@eslint/js';
import tseslint from 'typescript-eslint';

export default tseslint.config(
    {
        ignores: [
            '.dependency-cruiser.cjs',
            'node_modules/',
            'vendor/',
            'public/',
            'storage/',
            'docs/',
            'deploy/nginx/',
            'resources/ts/canvas/model/manipulative/rules.js',
        ],
    },
    eslint.configs.recommended,
    tseslint.configs.recommended,
    tseslint.configs.stylistic,
    {
        rules: {
            eqeqeq: 'error',
            // What has to be there is `present(…)`, which says so where it is not.
            '@typescript-eslint/no-non-null-assertion': 'error',
            'no-console': 'error',
            'prefer-const': 'error',
            '@typescript-eslint/no-explicit-any': 'error',
            '@typescript-eslint/consistent-type-imports': 'error',
            // A condition that does something is an `if`; a call in an arrow function may follow one.
            '@typescript-eslint/no-unused-expressions': 'error',
        },
    },
    { files: ['demo/**'], rules: { 'no-console': 'off' } },
    // In a test a missing part is a failing test.
    { files: ['tests/ts/**'], rules: { '@typescript-eslint/no-non-null-assertion': 'off' } },
);
