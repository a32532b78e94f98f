const { projects } = require('../jest.config.cjs');

const core = projects.find(({ displayName }) => displayName === 'core');

/** The core's tests without the simulations: those see every mutant, and take a quarter of a minute to do so. */
module.exports = {
  ...core,
  testPathIgnorePatterns: [...core.testPathIgnorePatterns, 'coverage.test', 'properties.test'],
};
