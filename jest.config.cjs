const node = (name, extra = {}) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  testMatch: ['**/*.test.ts', '**/*.test.mjs'],
  moduleFileExtensions: ['ts', 'tsx', 'mjs', 'js', 'json', 'node'],
  transform: { '\\.(ts|tsx|mjs)$': `${__dirname}/scripts/jest-esbuild.cjs` },
  ...extra,
});

/** Packages of the server that are no CommonJS, which Jest does not read as they are. */
const MODULES = [
  'better-auth',
  '@better-auth',
  'better-call',
  '@better-fetch',
  'jose',
  'nanostores',
  'defu',
  'rou3',
  '@noble',
];
const SERVER = {
  transform: { '\\.(ts|tsx|mjs|js)$': `${__dirname}/scripts/jest-esbuild.cjs` },
  transformIgnorePatterns: [`/node_modules/(?!(${MODULES.join('|')})/)`],
};

/** The long ones are a project of their own. */
const HARD = ['/node_modules/', '/hard/'];

/** The app's project has a set-up of its own. */
module.exports = {
  testSequencer: '<rootDir>/scripts/jest-sequencer.cjs',
  // No test depends on an idle machine: what takes so long hangs.
  testTimeout: 900_000,
  projects: [
    ...['core', 'contract', 'scripts', 'e2e'].map((name) => node(name, { testPathIgnorePatterns: HARD })),
    node('server', { ...SERVER, testPathIgnorePatterns: HARD }),
    '<rootDir>/app',
    node('hard', {
      ...SERVER,
      rootDir: __dirname,
      testMatch: ['<rootDir>/{core,server,scripts,e2e}/hard/**/*.test.{ts,mjs}'],
    }),
  ],
};
