import tseslint from 'typescript-eslint';
import vue from 'eslint-plugin-vue';
import vueParser from 'vue-eslint-parser';
import { coreRooms, webRooms } from './house.mjs';
import { arrows } from './scripts/lint/arrows.mjs';

// Arrows of the house: house.mjs.
const house = { rules: { arrows } };
const noFramework = {
  group: ['@brine/server*', '@brine/web*', '@brine/cli*', 'node:*', 'vue', 'hono', '@mikro-orm/*', 'yup'],
  message: 'core imports no framework, no Node and no workspace.',
};
const noContract = { group: ['@brine/contract*'], message: 'Only the record knows the contract.' };
const coreArrows = {
  files: ['core/src/**/*.ts'],
  ignores: ['**/*.test.ts'],
  plugins: { house },
  rules: {
    'house/arrows': ['error', { base: 'core/src', depth: 2, rooms: coreRooms, index: true }],
    '@typescript-eslint/no-restricted-imports': ['error', { patterns: [noFramework, noContract] }],
  },
};
/** The record takes the types of entries and answers from the contract, and nothing that runs. */
const recordArrows = {
  files: ['core/src/record/**/*.ts'],
  ignores: ['**/*.test.ts'],
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: [
          noFramework,
          {
            group: ['@brine/contract/*'],
            allowTypeImports: true,
            message: 'The record imports types of the contract alone: the core stays free of the validator.',
          },
        ],
      },
    ],
  },
};
const contractArrows = {
  files: ['contract/src/**/*.ts'],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: [
              '@brine/core/record/*',
              '@brine/server*',
              '@brine/web*',
              '@brine/cli*',
              'node:*',
              'vue',
              'hono',
            ],
            message: 'The contract knows the floors of the core below the record, and yup.',
          },
        ],
      },
    ],
  },
};
const webArrows = {
  files: ['web/src/**/*.{ts,vue}'],
  ignores: ['**/*.test.ts'],
  plugins: { house },
  rules: { 'house/arrows': ['error', { base: 'web/src', depth: 0, rooms: webRooms, index: false }] },
};

const noClockNoChance = {
  files: ['core/src/**/*.ts'],
  ignores: ['core/src/**/*.test.ts'],
  rules: {
    'no-restricted-properties': [
      'error',
      { object: 'Date', property: 'now', message: 'core has no clock: pass the time in.' },
      { object: 'Math', property: 'random', message: 'core has no randomness: pass a source in.' },
    ],
    'no-restricted-globals': [
      'error',
      'process',
      'window',
      'document',
      'crypto',
      'setTimeout',
      'localStorage',
      'fetch',
    ],
  },
};

/** Rules that know types and hold in pages as well as in files. */
const knownEverywhere = {
  '@typescript-eslint/no-floating-promises': 'error',
  '@typescript-eslint/no-misused-promises': 'error',
  '@typescript-eslint/await-thenable': 'error',
  '@typescript-eslint/no-unnecessary-type-assertion': 'error',
  '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
};

/** Rules that know types: nothing is awaited by chance, nothing is of any type, no condition is decided before it is asked. */
const typed = {
  files: [
    'core/src/**/*.ts',
    'contract/src/**/*.ts',
    'server/src/**/*.ts',
    'bus/src/**/*.ts',
    'cli/src/**/*.ts',
    'web/src/**/*.ts',
  ],
  ignores: ['**/*.test.ts'],
  languageOptions: {
    parserOptions: {
      project: [
        'core/tsconfig.json',
        'core/tsconfig.record.json',
        'contract/tsconfig.json',
        'server/tsconfig.json',
        'bus/tsconfig.json',
        'cli/tsconfig.json',
        'web/tsconfig.json',
      ],
      tsconfigRootDir: import.meta.dirname,
      // As for pages: another list would make the parser begin anew with each file.
      extraFileExtensions: ['.vue'],
    },
  },
  rules: {
    ...knownEverywhere,
    '@typescript-eslint/no-unnecessary-condition': 'error',
    '@typescript-eslint/no-unsafe-assignment': 'error',
    '@typescript-eslint/no-unsafe-member-access': 'error',
    '@typescript-eslint/no-unsafe-call': 'error',
    '@typescript-eslint/no-unsafe-return': 'error',
    '@typescript-eslint/no-unsafe-argument': 'error',
  },
};

/**
 * The same in pages, as far as it can be known there: the parser takes a page's script, but what another page exports has no type for it,
 * so that the rules on any types stay with `vue-tsc`.
 */
const typedPages = {
  files: ['web/src/**/*.vue'],
  languageOptions: {
    parser: vueParser,
    parserOptions: {
      parser: tseslint.parser,
      sourceType: 'module',
      project: ['web/tsconfig.json'],
      tsconfigRootDir: import.meta.dirname,
      extraFileExtensions: ['.vue'],
    },
  },
  rules: knownEverywhere,
};

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.brine/**', 'web/public/**', 'coverage/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser, sourceType: 'module' } },
  },
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      'no-console': 'off',
      eqeqeq: 'error',
      // Layout is Prettier's work.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/no-v-html': 'error',
    },
  },
  typed,
  typedPages,
  coreArrows,
  recordArrows,
  contractArrows,
  webArrows,
  noClockNoChance,
  {
    files: ['cli/**/*.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: ['@brine/server*', '@brine/web*', 'vue', 'hono'] }],
    },
  },
  {
    files: ['web/src/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['@brine/server*', '@brine/cli*', 'node:*', '@mikro-orm/*'] },
      ],
    },
  },
  {
    files: ['server/src/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['@brine/web*', '@brine/cli*', 'vue'] }] },
  },
  {
    // Only repositories and the database room know the ORM.
    files: ['server/src/**/*.ts'],
    ignores: ['server/src/database/**', 'server/src/**/*.repository.ts', 'server/src/**/*.entity.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: ['@brine/web*', '@brine/cli*', 'vue', '@mikro-orm/*'] }],
    },
  },
);
