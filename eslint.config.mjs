import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import ts from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';
import prettier from 'eslint-config-prettier';
import globals from 'globals';

const node = ['fs', 'fs/*', 'path', 'os', 'child_process', 'worker_threads', 'http', 'net', 'node:*'];
const tests = ['**/*.test.ts', '**/*.test.tsx', '**/test/**'];

/**
 * The arrows of docs/architecture.md: what may not be imported, however it is asked for - as a value or a type, from a package or by a
 * relative path, at the top or by import(). Tests may stand on anything.
 */
const arrows = (forbidden, why) => {
  const patterns = [
    { group: forbidden, message: why },
    { group: ['@urbild/*/*'], message: 'import a package by its name only' },
  ];
  return {
    'no-restricted-imports': ['error', { patterns }],
    'no-restricted-syntax': [
      'error',
      { selector: 'ImportExpression', message: 'import() hides an arrow: import at the top' },
      { selector: 'TSImportType', message: 'import type hides an arrow: import at the top' },
    ],
  };
};

/** The capabilities of the server in their order: each may import only what stands before it. */
export const CAPABILITIES = [
  'platform',
  'people',
  'masks',
  'library',
  'looks',
  'cast',
  'projects',
  'mixes',
  'takes',
  'series',
  'comments',
  'trials',
  'studio',
];
/** What stands above all of them and puts them together. */
const ABOVE = ['app.module', 'application', 'entities', 'errands', 'main', 'openapi'];
const server = ['@urbild/web', '@urbild/api', '@urbild/engine-tools', 'react*'];

/** The views of the page: none imports another; what several need lies in shared/. */
const VIEWS = readdirSync(new URL('apps/web/src/views', import.meta.url), { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map((entry) => entry.name);
const page = ['@urbild/engine', '@urbild/server', '@nestjs/*', '@napi-rs/*', 'sharp', ...node];
const pageArrows = [
  ...VIEWS.map((name) => ({
    files: [`apps/web/src/views/${name}/**`],
    ignores: tests,
    rules: arrows(
      [...page, ...VIEWS.filter((other) => other !== name).map((other) => `../${other}/*`)],
      `${name} may not import another view: what both need lies in shared/`,
    ),
  })),
  {
    files: ['shared', 'parts', 'api', 'theme'].map((folder) => `apps/web/src/${folder}/**`),
    ignores: tests,
    rules: arrows([...page, '**/views/**'], 'what views stand on knows none of them'),
  },
];

/** A rule for each capability: nothing that stands after it, nothing that puts all together. */
const serverArrows = CAPABILITIES.map((name, k) => ({
  files: [`apps/server/src/${name}/**`],
  ignores: tests,
  rules: arrows(
    [...server, ...CAPABILITIES.slice(k + 1).map((later) => `**/${later}/**`), ...ABOVE.map((file) => `**/${file}`)],
    `${name} may import only ${['itself', ...CAPABILITIES.slice(0, k)].join(', ')}`,
  ),
}));

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
    ignores: [...tests, 'packages/engine/src/testing.ts'],
    rules: arrows(
      ['@urbild/server', '@urbild/web', '@urbild/api', '@urbild/engine-tools', 'react*', '@nestjs/*', 'sharp', ...node],
      'the engine stands on core and a 2D canvas alone',
    ),
  },
  {
    files: ['packages/engine-tools/src/**'],
    ignores: tests,
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['@urbild/server', '@urbild/web', '@urbild/api', 'react*'],
              message: 'tools stand on engine and core',
            },
            { group: ['@urbild/*/*', '!@urbild/engine/tools'], message: 'of the engine, its tools entry alone' },
          ],
        },
      ],
    },
  },
  {
    files: ['apps/server/src/**'],
    ignores: tests,
    rules: arrows(server, 'the server stands on engine and core'),
  },
  ...serverArrows,
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    languageOptions: { globals: { ...globals.browser } },
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      // there is no React Compiler here that such a library could be incompatible with
      'react-hooks/incompatible-library': 'off',
      ...arrows(page, 'the interface stands on api and core'),
    },
  },
  ...pageArrows,
  // the page loads each view when it is opened
  { files: ['apps/web/src/main.tsx', ...tests], rules: { 'no-restricted-syntax': 'off' } },
  // tests may stand on anything
  { files: tests, rules: { 'no-restricted-imports': 'off' } },
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
  {
    files: ['packages/*/src/**', 'apps/*/src/**', 'bench/src/**', 'e2e/src/**'],
    rules: { 'max-params': ['error', 6] },
  },
  // a function fits a screen; a drawing, whose lines are all of one kind, may be a little longer
  ...[
    { files: ['packages/*/src/**', 'apps/*/src/**', 'bench/src/**'], max: 80 },
    { files: ['packages/engine/src/painter/**', 'packages/engine-tools/src/foreign/**'], max: 100 },
  ].map(({ files, max }) => ({
    files,
    ignores: tests,
    rules: { 'max-lines-per-function': ['error', { max, skipBlankLines: true, skipComments: true }] },
  })),
  // what Nest hands to a class are no parameters that anybody counts off
  {
    files: ['apps/server/src/**/*.service.ts', 'apps/server/src/takes/takeRenderer.ts'],
    rules: { 'max-params': 'off' },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  prettier,
);
