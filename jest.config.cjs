/** One Jest run for core, engine and server; the browser tests have their own configuration in e2e/. */
const common = {
  testEnvironment: 'node',
  // globals are slow to reach from inside a test's context; the engine reaches for these millions of times
  sandboxInjectedGlobals: [
    ...['Math', 'Number', 'Array', 'Object', 'JSON', 'Map', 'Set', 'WeakMap'],
    ...['Float32Array', 'Float64Array', 'Int8Array', 'Int16Array', 'Int32Array'],
    ...['Uint8Array', 'Uint8ClampedArray', 'Uint16Array', 'Uint32Array'],
  ],
  testEnvironmentOptions: { customExportConditions: ['source', 'node', 'node-addons'] },
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', decorators: true },
          transform: { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false },
          target: 'es2023',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
};
const project = (name, folder) => ({
  ...common,
  displayName: name,
  rootDir: __dirname,
  roots: [`<rootDir>/${folder}`],
  testMatch: ['**/*.test.ts'],
  modulePathIgnorePatterns: ['/dist/'],
});
/** Components in jsdom: *.test.tsx. */
const page = {
  ...project('page', 'apps/web/src'),
  testMatch: ['**/*.test.tsx'],
  testEnvironment: '<rootDir>/apps/web/test/browser.cjs',
  // icons have names like Map
  sandboxInjectedGlobals: ['Math'],
  testEnvironmentOptions: { customExportConditions: ['source', 'browser', 'require', 'default'] },
  setupFilesAfterEnv: ['<rootDir>/apps/web/test/setup.ts'],
  restoreMocks: true,
  transform: {
    '^.+\\.(tsx?|m?js)$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2023',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(openapi-fetch|idb)/)'],
};

module.exports = {
  // a guard against tests that hang, not a measure of speed: machines that check differ by a factor of four
  testTimeout: 180000,
  projects: [
    project('core', 'packages/core/src'),
    project('engine', 'packages/engine/src'),
    project('tools', 'packages/engine-tools/src'),
    project('server', 'apps/server/src'),
    project('web', 'apps/web/src'),
    page,
    project('house', 'scripts'),
  ],
};
