const { readdirSync } = require('node:fs');
const path = require('node:path');

const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier');

const formatting = require('./scripts/lint/formatting.cjs');

/** Which workspaces each may not import: core <- contract <- server; core, contract <- app; nothing imports e2e or scripts. */
const FORBIDDEN = {
  core: ['contract', 'server', 'app', 'e2e'],
  contract: ['server', 'app', 'e2e'],
  server: ['app', 'e2e'],
  app: ['server', 'e2e'],
  e2e: ['server', 'app'],
};
/** A computing core has no interface, no I/O, no clock and no chance. */
const NOT_IN_CORE = ['react', 'react-native', 'express', 'zod', 'drizzle-orm', 'fs', 'path', 'http', 'node:*'];
/** Only the app has React; its rules run the compiler over every file, which the others need not wait for. */
const REACT = /^(react|react-hooks)\//;

const directions = Object.entries(FORBIDDEN).map(([workspace, others]) => ({
  files: [`${workspace}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...others.map((other) => ({
            group: [`@leggero/${other}`, `**/${other}/src/**`],
            message: 'Imports point the other way.',
          })),
          { group: ['**/scripts/**'], message: 'Nothing imports from scripts.' },
        ],
      },
    ],
  },
}));

/** The rooms of the app, and which of them each may not look into. */
const ROOMS = {
  device: ['views', 'data', 'wording', 'ui', 'parts', 'features'],
  views: ['data', 'device', 'wording', 'ui', 'parts', 'features'],
  data: ['wording', 'ui', 'parts', 'features'],
  // The kit knows no trade.
  ui: ['views', 'data', 'device', 'wording', 'parts', 'features'],
  wording: ['data', 'parts', 'features'],
  parts: ['features'],
};
const APP_FORBIDS = FORBIDDEN.app.map((other) => ({
  group: [`@leggero/${other}`, `**/${other}/src/**`],
  message: 'Imports point the other way.',
}));

const rooms = Object.entries(ROOMS).map(([room, others]) => ({
  files: [`app/src/${room}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...APP_FORBIDS,
          { group: others.map((other) => `@/${other}/**`), message: `${room}/ does not know this room.` },
          { group: ['**/../app/**', '@/app/**'], message: 'Nothing imports a route.' },
          ...(room === 'ui' ? [{ group: ['@leggero/contract'], message: 'The kit knows no records.' }] : []),
        ],
      },
    ],
  },
}));

/** A feature does not reach into another one's inside: what two share is a part. */
const features = readdirSync(path.join(__dirname, 'app/src/features')).map((feature) => ({
  files: [`app/src/features/${feature}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...APP_FORBIDS,
          {
            group: ['@/features/*', `!@/features/${feature}`, '../../*'],
            message: 'What two features share is a part.',
          },
        ],
      },
    ],
  },
}));

/** A preset's parts with their React rules taken out, and those rules for the app alone. */
function reactForTheApp(parts) {
  return parts.flatMap((part) => {
    const rules = Object.entries(part.rules ?? {});
    const ofReact = rules.filter(([name]) => REACT.test(name));
    if (ofReact.length === 0) return [part];
    const others = rules.filter(([name]) => !REACT.test(name));
    return [
      { ...part, rules: Object.fromEntries(others) },
      { files: ['app/src/**/*.{ts,tsx}'], rules: Object.fromEntries(ofReact) },
    ];
  });
}

module.exports = [
  {
    ignores: [
      '**/node_modules/**',
      'app/dist/**',
      'server/dist/**',
      'app/.expo/**',
      '.leggero/**',
      'speed/.work/**',
      'speed/.*.mjs',
      'server/src/db/migrations/**',
    ],
  },
  ...reactForTheApp(expo),
  ...directions,
  {
    files: ['core/src/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            ...FORBIDDEN.core.map((other) => ({ group: [`@leggero/${other}`] })),
            { group: NOT_IN_CORE, message: 'The core is pure TypeScript.' },
          ],
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage'],
      'no-restricted-syntax': [
        'error',
        { selector: "MemberExpression[object.name='Math'][property.name='random']", message: 'Pass a seed.' },
        { selector: "MemberExpression[object.name='Date'][property.name='now']", message: 'Pass the time.' },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Pass the time.' },
      ],
    },
  },
  ...rooms,
  ...features,
  {
    // What is cut or printed is measured in millimetres; to people lengths are said in their own unit.
    files: ['app/src/**/*.{ts,tsx}'],
    ignores: ['app/src/features/make/**', 'app/src/wording/make.ts', 'app/src/parts/BarFields.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          'TemplateElement[value.raw=/(^|[0-9]) mm\\b/]',
          'Literal[value=/([0-9]|,) mm\\b/]',
          'JSXText[value=/[0-9] mm\\b/]',
        ].map((selector) => ({ selector, message: 'Lengths are said by `Lengths`, in the unit of the studio.' })),
      ],
    },
  },
  {
    rules: {
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
      'no-var': 'error',
      'prefer-const': 'error',
      // Resolution is TypeScript's business; the compiler checks it.
      'import/no-unresolved': 'off',
      'import/no-named-as-default-member': 'off',
      'import/no-named-as-default': 'off',
      'import/namespace': 'off',
      'import/named': 'off',
      'import/export': 'off',
    },
  },
  {
    files: ['scripts/**', 'speed/**', 'server/**', 'core/**', 'contract/**', 'e2e/**'],
    rules: {
      'no-console': 'off',
      'expo/no-env-var-destructuring': 'off',
      'expo/no-dynamic-env-var': 'off',
    },
  },
  {
    files: ['**/*.cjs', '**/*.config.js'],
    languageOptions: { globals: { __dirname: 'readonly', __filename: 'readonly' } },
  },
  {
    files: ['**/test/**', '**/hard/**', 'e2e/**'],
    languageOptions: {
      globals: {
        describe: 'readonly',
        it: 'readonly',
        expect: 'readonly',
        beforeAll: 'readonly',
        afterAll: 'readonly',
        beforeEach: 'readonly',
        afterEach: 'readonly',
        jest: 'readonly',
      },
    },
  },
  prettier,
  // After Prettier's own list of what it decides: what it leaves long, and what would exempt a place from it.
  {
    plugins: { formatting },
    rules: { 'max-len': ['error', { code: 140 }], 'formatting/no-exemption': 'error' },
  },
];
