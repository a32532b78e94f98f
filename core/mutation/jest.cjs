const { projects } = require('../../jest.config.cjs');

const core = projects.find(({ displayName }) => displayName === 'core');

/** A folder's own tests, without their simulations: those see every mutant, and take nine tenths of the time to do so. */
module.exports = {
  ...core,
  globals: { quick: true },
  testEnvironment: `${__dirname}/environment.cjs`,
  moduleFileExtensions: [...core.moduleFileExtensions, 'cjs'],
  testMatch: ['<rootDir>/mutation/all.cjs'],
};
