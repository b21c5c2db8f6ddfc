import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig } from 'eslint/config';
import ts from 'typescript-eslint';
import { ownRules } from './scripts/lib/lint-rules.mjs';

export default defineConfig(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '.cache/**',
      '.hamaca/**',
      'test-results/**',
      'core/src/kinds/behaviours/built.ts',
      'core/src/kinds/behaviours/built-readable.ts',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.{mjs,js,cjs}'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        setTimeout: 'readonly',
        setInterval: 'readonly',
        clearTimeout: 'readonly',
        clearInterval: 'readonly',
        URL: 'readonly',
        AbortController: 'readonly',
        module: 'writable',
        Buffer: 'readonly',
        performance: 'readonly',
        fetch: 'readonly',
        document: 'readonly',
        window: 'readonly',
        location: 'readonly',
        getComputedStyle: 'readonly',
        addEventListener: 'readonly',
        innerWidth: 'readonly',
        structuredClone: 'readonly',
        requestAnimationFrame: 'readonly',
      },
    },
  },
  { files: ['**/*.{ts,tsx}'], extends: [ts.configs.strict, ts.configs.stylistic] },
  {
    files: ['core/src/**/*.ts', 'fetching/src/**/*.ts', 'server/src/**/*.ts', 'cli/src/**/*.ts'],
    extends: [ts.configs.strictTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { own: ownRules },
    rules: { 'own/no-written-names': 'error' },
  },
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-definitions': 'off',
      '@typescript-eslint/consistent-indexed-object-style': 'off',
      // Printers and readers look for just these.
      'no-control-regex': 'off',
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportDefaultDeclaration', message: 'No default exports.' },
        { selector: 'TSEnumDeclaration', message: 'No enums.' },
      ],
    },
  },
  {
    files: ['core/src/**/*.ts', 'fetching/src/**/*.ts', 'server/src/**/*.ts', 'cli/src/**/*.ts'],
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // Code points are meant where strings are spread.
      '@typescript-eslint/no-misused-spread': 'off',
    },
  },
  {
    files: ['**/*.test.{ts,tsx}'],
    extends: [ts.configs.disableTypeChecked],
    rules: { 'own/no-written-names': 'off' },
  },
  { files: ['e2e/**/*.ts'], rules: { 'no-empty-pattern': 'off' } },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    extends: [hooks.configs.flat['recommended-latest']],
    rules: {
      'react-hooks/refs': 'off',
      'react-hooks/set-state-in-effect': 'off',
      'react-hooks/incompatible-library': 'off',
      'react-hooks/immutability': 'off',
      'react-hooks/exhaustive-deps': 'off',
    },
  },
  {
    files: ['**/*.config.ts', 'playwright.config.ts', 'web/vite.config.ts'],
    rules: { 'no-restricted-syntax': 'off' },
  },
);
