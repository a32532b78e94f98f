const { projects } = require('../jest.config.cjs');
const { FOLDER, TESTS } = require('./mutation.cjs');

const core = projects.find(({ displayName }) => displayName === 'core');

/** A folder's own tests, without their simulations: those see every mutant, and take nine tenths of the time to do so. */
module.exports = {
  ...core,
  globals: { quick: true },
  testMatch: TESTS[FOLDER].map((name) => `<rootDir>/test/${name}.test.ts`),
};
