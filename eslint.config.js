import js from '@eslint/js';
import globals from 'globals';

export default [
    js.configs.recommended,
    { files: ['assets/**/*.js'], languageOptions: { globals: globals.browser } },
    { files: ['e2e/**/*.js', 'tests/scripts/*.js', 'deploy/*.mjs', 'bench/*.js', '*.js'], languageOptions: { globals: { ...globals.node, ...globals.browser } } },
    { rules: { eqeqeq: 'error', 'no-var': 'error', 'prefer-const': 'error' } },
];
