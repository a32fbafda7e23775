import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
    { ignores: ['public', 'vendor', 'core/vendor', 'var', 'node_modules'] },
    js.configs.recommended,
    ...ts.configs.recommended,
    ...svelte.configs.recommended,
    { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
    {
        files: ['**/*.svelte', '**/*.svelte.ts'],
        languageOptions: { parserOptions: { extraFileExtensions: ['.svelte'], parser: ts.parser, svelteConfig } },
    },
    { rules: { 'svelte/no-navigation-without-resolve': 'off', eqeqeq: 'error' } },
);
