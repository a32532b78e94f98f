const path = require('node:path');

// Watch plug-ins belong to the root's configuration, not to one project's.
const { watchPlugins: _, ...preset } = require('jest-expo/web/jest-preset');

/** Packages that come as modules or with types: they are transformed like own code. */
const TRANSFORMED = [
  '(jest-)?react-native',
  '@react-native(-community)?',
  'expo(nent)?',
  '@expo(nent)?/.*',
  'expo-.*',
  '@expo-google-fonts/.*',
  'react-navigation',
  '@react-navigation/.*',
  'standard-navigation',
  'nativewind',
  'react-native-css-interop',
  'three',
];

/** What knows no JSX, or was compiled before, needs no more than types off and modules turned. */
const PLAIN = `${path.dirname(__dirname)}/(core|contract)/src/.*\\.ts$|/(react-native-web/dist|three/build)/.*\\.js$`;

module.exports = {
  ...preset,
  displayName: 'app',
  rootDir: __dirname,
  testMatch: ['<rootDir>/test/**/*.test.{ts,tsx}'],
  setupFilesAfterEnv: ['<rootDir>/test/setup.ts'],
  moduleNameMapper: {
    ...preset.moduleNameMapper,
    // Charts come at once here; how they are fetched the journeys in the browser show.
    '^@/parts/charts$': '<rootDir>/src/parts/chart/all.ts',
    '^@/(.*)$': '<rootDir>/src/$1',
    '^lucide-react-native/icons/(.*)$': require
      .resolve('lucide-react-native')
      .replace(/dist\/cjs.*$/, 'dist/cjs/icons/$1.js'),
    // The builds for browsers: the others are modules, which this preset leaves untouched.
    '^(d3-[a-z-]+|internmap)$': '<rootDir>/../node_modules/$1/dist/$1.js',
    // Its reckoning, which is all that runs without graphics hardware.
    '^three$': '<rootDir>/../node_modules/three/build/three.core.js',
    '^expo-router$': '<rootDir>/test/router.tsx',
    '\\.css$': '<rootDir>/test/noStyles.js',
  },
  transform: { [PLAIN]: `${__dirname}/../scripts/jest-esbuild.cjs`, ...preset.transform },
  transformIgnorePatterns: [`node_modules/(?!(${TRANSFORMED.join('|')}))`],
};
