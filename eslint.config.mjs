import tseslint from 'typescript-eslint';
import vue from 'eslint-plugin-vue';
import vueParser from 'vue-eslint-parser';

// The arrows of docs/architecture.md: a core room may import only the rooms listed for it.
const rooms = {
  quantities: [],
  settings: ['quantities', 'files'],
  files: [],
  controllers: ['quantities', 'settings', 'files'],
  advice: ['quantities', 'settings', 'files', 'refrigerants'],
  transport: ['quantities', 'settings', 'controllers', 'advice', 'plant'],
  panel: ['quantities', 'settings', 'controllers'],
  practice: ['quantities', 'settings', 'controllers', 'panel', 'control', 'plant', 'simulation'],
  control: ['quantities', 'settings'],
  plant: ['quantities'],
  simulation: ['quantities', 'settings', 'files', 'control', 'plant'],
  tuning: ['quantities', 'settings', 'files', 'control', 'plant', 'simulation', 'advice'],
  suggest: ['quantities', 'settings', 'controllers', 'files'],
  wiring: ['quantities', 'settings', 'files', 'controllers', 'advice'],
  refrigerants: [],
  probes: ['files'],
  logs: ['quantities', 'settings', 'files', 'control'],
  tools: [
    'quantities',
    'settings',
    'controllers',
    'advice',
    'control',
    'plant',
    'simulation',
    'tuning',
    'logs',
  ],
  condensing: ['quantities', 'settings', 'control', 'refrigerants', 'logs'],
  calibration: ['quantities', 'settings', 'controllers', 'probes'],
  complaints: ['quantities', 'settings', 'advice', 'simulation', 'tuning', 'logs', 'condensing'],
  commissioning: [
    'quantities',
    'settings',
    'controllers',
    'advice',
    'control',
    'plant',
    'simulation',
    'tuning',
    'transport',
    'wiring',
  ],
  jobs: [
    'quantities',
    'settings',
    'controllers',
    'advice',
    'files',
    'wiring',
    'probes',
    'calibration',
    'commissioning',
    'complaints',
    'logs',
    'transport',
    'condensing',
    'tools',
  ],
  handover: ['quantities', 'settings', 'controllers', 'advice', 'jobs', 'wiring', 'files', 'calibration'],
};
const every = Object.keys(rooms);

const arrow = ([room, allowed]) => ({
  files: [`core/src/${room}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...every
            .filter((other) => other !== room && !allowed.includes(other))
            .map((other) => ({
              group: [`**/${other}/*`],
              message: `core/${room} must not import core/${other}: arrows run downwards only.`,
            })),
          {
            group: ['@brine/*', 'node:*', 'vue', 'hono', '@mikro-orm/*', 'yup'],
            message: 'core imports no framework, no Node and no workspace.',
          },
        ],
      },
    ],
  },
});

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
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
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
  ...Object.entries(rooms).map(arrow),
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
    ignores: [
      'server/src/database/**',
      'server/src/**/*.repository.ts',
      'server/src/**/*.entity.ts',
      'server/src/testing/**',
    ],
    rules: {
      'no-restricted-imports': ['error', { patterns: ['@brine/web*', '@brine/cli*', 'vue', '@mikro-orm/*'] }],
    },
  },
);
