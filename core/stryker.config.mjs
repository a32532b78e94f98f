/** Mutation testing of the numbers: `npm run mutate`, or `npm run mutate -- --mutate core/src/target/tier.ts`. */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'core/jest.mutate.cjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  mutate: ['core/src/{calibration,target,consistency,environment,linking}/**/*.ts'],
  // Words that only name things (codes, messages) are nobody's number.
  mutator: { excludedMutations: ['StringLiteral'] },
  // What tests work out before they begin is seen by all of them: such a mutant is run against every test.
  ignoreStatic: false,
  reporters: ['clear-text', 'progress', 'json'],
  jsonReporter: { fileName: '.leggero/mutation.json' },
  thresholds: { high: 90, low: 80, break: 80 },
  tempDirName: '.leggero/mutants',
  ignorePatterns: ['app', 'e2e', 'server', 'contract', 'speed', 'docs', '.leggero'],
  disableTypeChecks: true,
};
