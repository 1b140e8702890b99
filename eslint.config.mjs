import js from '@eslint/js';
import ts from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';
import prettier from 'eslint-config-prettier';
import globals from 'globals';

/** The arrows of docs/architecture.md: which workspace may import which. */
const arrows = (forbidden, why) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: [
        { group: forbidden, message: why },
        { group: ['@urbild/*/*'], message: 'import a package by its name only' },
      ],
    },
  ],
});
const node = ['fs', 'fs/*', 'path', 'os', 'child_process', 'worker_threads', 'http', 'net', 'node:*'];
const tests = ['**/*.test.ts', '**/*.test.tsx', '**/test/**'];

export default ts.config(
  { ignores: ['**/dist/', '**/node_modules/', 'data/', '**/*.generated.*', 'packages/*/kernel/', '**/*.tmp.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  { languageOptions: { globals: { ...globals.node } } },
  {
    files: ['packages/core/src/**'],
    ignores: tests,
    rules: arrows(
      ['@urbild/*', 'react*', '@nestjs/*', '@napi-rs/*', 'sharp', ...node],
      'core is pure computation: it imports nothing of ours, no files, no canvas',
    ),
  },
  {
    files: ['packages/engine/src/**'],
    ignores: [...tests, 'packages/engine/src/cli/**', 'packages/engine/src/testing.ts'],
    rules: arrows(
      ['@urbild/server', '@urbild/web', '@urbild/api', 'react*', '@nestjs/*', 'sharp', ...node],
      'the engine stands on core and a 2D canvas alone',
    ),
  },
  {
    files: ['apps/server/src/**'],
    rules: arrows(['@urbild/web', '@urbild/api', 'react*'], 'the server stands on engine and core'),
  },
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    languageOptions: { globals: { ...globals.browser } },
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      // there is no React Compiler here that such a library could be incompatible with
      'react-hooks/incompatible-library': 'off',
      ...arrows(
        ['@urbild/engine', '@urbild/server', '@nestjs/*', '@napi-rs/*', 'sharp', ...node],
        'the interface stands on api and core',
      ),
    },
  },
  {
    files: ['packages/api/src/**'],
    rules: arrows(
      ['@urbild/core', '@urbild/engine', '@urbild/server', '@urbild/web', 'react*'],
      'api holds only what the OpenAPI document says',
    ),
  },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-definitions': ['error', 'interface'],
    },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  prettier,
);
