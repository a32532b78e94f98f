import mutation from './tests.cjs';

const { FOLDER } = mutation;

/** How one folder of the core is put to the test of mutation; `npm run mutate` goes through all of them. */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'core/mutation/jest.cjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  mutate: [`core/src/${FOLDER}/**/*.ts`],
  // Words that only name things (codes, messages) are nobody's number.
  mutator: { excludedMutations: ['StringLiteral'] },
  // What tests work out before they begin is seen by all of them: such a mutant is run against every test.
  ignoreStatic: false,
  reporters: ['clear-text', 'progress', 'json'],
  jsonReporter: { fileName: `.leggero/mutation/${FOLDER}.json` },
  tempDirName: `.leggero/mutants/${FOLDER}`,
  ignorePatterns: ['app', 'e2e', 'server', 'contract', 'speed', 'docs', '.leggero'],
  disableTypeChecks: true,
};
