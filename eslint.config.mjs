import { defineConfig } from 'eslint/config';
import expo from 'eslint-config-expo/flat.js';
import { plugin as typescript } from 'typescript-eslint';

/** Folders a core part may take from, besides itself. Order of the work: ground, parts, what stands over them, the edge. */
const CORE_PARTS = {
  fields: [],
  said: [],
  units: [],
  figures: ['units'],
  job: [],
  room: ['units'],
  record: ['room'],
  coverings: ['units'],
  layers: ['units', 'room'],
  hazards: ['units', 'room', 'layers'],
  air: ['units'],
  drying: ['units', 'room'],
  damp: ['units', 'figures', 'room', 'coverings', 'layers', 'hazards', 'air', 'drying'],
  soundness: ['units', 'figures', 'room', 'layers', 'hazards'],
  stripout: ['units', 'figures', 'room', 'coverings', 'layers', 'hazards', 'soundness', 'heights'],
  scan: ['units', 'room'],
  flat: ['units', 'room', 'coverings', 'scan'],
  levelling: ['units', 'figures', 'room', 'coverings', 'flat'],
  planks: ['units', 'figures', 'room', 'coverings', 'flat'],
  heights: ['units', 'room', 'coverings', 'flat'],
  schedule: ['units'],
  bill: ['units'],
  seal: [],
  search: [],
  under: ['units', 'room', 'coverings', 'heights'],
  setout: ['units', 'room', 'coverings', 'air', 'levelling'],
  verdict: [
    'units',
    'figures',
    'room',
    'coverings',
    'layers',
    'hazards',
    'air',
    'damp',
    'soundness',
    'stripout',
    'scan',
    'flat',
    'levelling',
    'heights',
    'under',
  ],
  // The evidence goes through every kind of fact there is.
  formats: [
    'units',
    'room',
    'coverings',
    'air',
    'damp',
    'soundness',
    'scan',
    'flat',
    'levelling',
    'heights',
    'verdict',
    'kinds',
  ],
};
/** Languages that every part speaks: how facts are stated, and how things are said. */
const EVERYONES = ['fields', 'said'];
/** What stands over the parts: which of them there are, and the runner that calls them. */
const OVER_PARTS = ['kinds', 'assess', 'planning'];

const coreRules = Object.entries(CORE_PARTS).map(([part, allowed]) => ({
  files: [`core/src/${part}/**/*.ts`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: Object.keys(CORE_PARTS)
              .filter((other) => other !== part && !EVERYONES.includes(other) && !allowed.includes(other))
              .concat(OVER_PARTS.filter((over) => !allowed.includes(over)))
              .map((other) => `**/${other}/**`)
              .concat(['../index.ts']),
            message: `${part} may import ${allowed.join(', ') || 'no other part'} only`,
          },
          {
            group: ['../*/*', '!../*/index.ts', '!../*/facts.ts'],
            message: 'Import another part through its index.ts, or its facts.ts',
          },
          {
            group: [
              'react',
              'react-*',
              'express',
              'node:*',
              'fs',
              'path',
              'expo*',
              'drizzle-orm',
              'class-validator',
              '@maquette/*',
            ],
            message: 'The core is pure',
          },
        ],
      },
    ],
    'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process'],
    'no-restricted-properties': ['error', { object: 'Date', property: 'now' }, { object: 'Math', property: 'random' }],
  },
}));

export default defineConfig([
  {
    ignores: [
      '**/node_modules',
      'dist',
      'data',
      '**/.expo',
      'test-results',
      'playwright-report',
      'app/shell',
      'app/expo-env.d.ts',
    ],
  },
  ...expo,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { '@typescript-eslint': typescript },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'import/no-unresolved': 'off',
      // Nothing is memoised by a compiler here: what tables and long lists hand out may change under it.
      'react-hooks/incompatible-library': 'off',
      // fast-check is used by its own name.
      'import/no-named-as-default-member': 'off',
    },
  },
  {
    files: ['**/*.{js,cjs,mjs}'],
    languageOptions: {
      globals: {
        require: 'readonly',
        module: 'writable',
        process: 'readonly',
        console: 'readonly',
        __dirname: 'readonly',
        jest: 'readonly',
      },
    },
    rules: { 'import/no-unresolved': 'off' },
  },
  ...coreRules,
  { files: ['core/src/**/*.test.ts', 'core/src/**/invented-*.ts'], rules: { 'no-restricted-imports': 'off' } },
  {
    files: ['facts/src/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['express', 'react*', 'node:*', '@maquette/server', '@maquette/app', 'drizzle-orm*'] },
      ],
    },
  },
  { files: ['facts/src/**/*.test.ts'], rules: { 'no-restricted-imports': 'off' } },
  {
    files: ['server/src/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['react*', 'expo*', '@maquette/app', '**/app/**'] }] },
  },
  {
    files: ['app/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': ['error', { patterns: ['express', '@maquette/server', 'node:*', 'drizzle-orm*'] }],
      'import/first': 'off',
    },
  },
  {
    // A part of the interface is shown what it shows: it does not fetch, and knows no screen.
    files: ['app/src/ui/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            '**/data/**',
            '**/room/**',
            '**/stages/**',
            '**/worker/**',
            '**/files/**',
            '**/bench/**',
            '**/book/**',
          ].map((group) => ({ group: [`../${group.slice(3)}`] })),
        },
      ],
    },
  },
  {
    // What is pressed has a name and a height: Button, or Touch.
    files: ['app/src/**/*.tsx', 'app/app/**/*.tsx'],
    ignores: ['app/src/ui/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "ImportDeclaration[source.value='react-native'] ImportSpecifier[imported.name='Pressable']",
          message: 'Use Button or Touch.',
        },
      ],
    },
  },
]);
