const { projects } = require('../jest.config.cjs');

const core = projects.find(({ displayName }) => displayName === 'core');

/** The core's tests without the simulations: those see every mutant, and take nine tenths of the time to do so. */
module.exports = {
  ...core,
  globals: { quick: true },
  testPathIgnorePatterns: [...core.testPathIgnorePatterns, 'coverage.test', 'properties.test'],
};
