const node = (name, extra = {}) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  testMatch: ['**/*.test.ts', '**/*.test.mjs'],
  moduleFileExtensions: ['ts', 'tsx', 'mjs', 'js', 'json', 'node'],
  transform: { '\\.(ts|tsx|mjs)$': `${__dirname}/scripts/jest-esbuild.cjs` },
  ...extra,
});

/** The app's project has a set-up of its own. */
module.exports = {
  testSequencer: '<rootDir>/scripts/jest-sequencer.cjs',
  projects: [node('core'), node('contract'), node('server'), node('scripts'), node('e2e'), '<rootDir>/app'],
};
