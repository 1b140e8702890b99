/** The browser tests, against the built application. */
const { projects } = require('../jest.config.cjs');

module.exports = {
  ...projects[0],
  displayName: 'e2e',
  rootDir: `${__dirname}/..`,
  roots: ['<rootDir>/e2e/src'],
  testMatch: ['**/*.e2e.ts'],
  // guards against tests that hang: machines that check differ by a factor of four
  testTimeout: 960000,
};
