import js from '@eslint/js';
import globals from 'globals';

export default [
  {
    ignores: [
      'vendor/',
      'node_modules/',
      'build/',
      'public/build/',
      'public/sw.js',
      'var/',
      'test-results/',
    ],
  },
  js.configs.recommended,
  {
    files: ['assets/scripts/**/*.js'],
    languageOptions: { globals: globals.browser },
    rules: { eqeqeq: 'error', 'no-var': 'error', 'prefer-const': 'error', 'no-console': 'error' },
  },
  {
    files: ['assets/scripts/sw.js'],
    languageOptions: { globals: { ...globals.serviceworker, FILES: 'readonly' } },
  },
  {
    files: ['bin/**/*.mjs', 'tests/**/*.js', 'tests/**/*.mjs', 'bench/**/*.mjs', '*.js'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: { eqeqeq: 'error', 'prefer-const': 'error' },
  },
];
