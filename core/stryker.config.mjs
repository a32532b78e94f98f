/** Mutation testing of the numbers: `npm run mutate`, or `npm run mutate -- --mutate core/src/target/tier.ts`. */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'core/jest.mutate.cjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  mutate: ['core/src/{calibration,target,consistency,environment,linking}/**/*.ts'],
  // Words that only name things (codes, messages) are nobody's number.
  mutator: { excludedMutations: ['StringLiteral'] },
  // What a module works out once would need every test for each mutant; figures.test.ts holds those by hand.
  ignoreStatic: true,
  reporters: ['clear-text', 'progress', 'json'],
  jsonReporter: { fileName: '.leggero/mutation.json' },
  thresholds: { high: 90, low: 80, break: 80 },
  tempDirName: '.leggero/mutants',
  ignorePatterns: ['app', 'e2e', 'server', 'contract', 'speed', 'docs', '.leggero'],
  disableTypeChecks: true,
};
