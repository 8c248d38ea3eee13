// One project a workspace: each states its own environment, none needs a build first.
const typescript = {
  jsc: {
    parser: { syntax: 'typescript' },
    target: 'es2022',
    experimental: { keepImportAttributes: true },
  },
  module: { type: 'es6' },
};
const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: import.meta.dirname,
  roots: [`<rootDir>/${name}/src`],
  testMatch: ['**/*.test.ts'],
  testEnvironment: '<rootDir>/scripts/jest/quickEnvironment.mjs',
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '\\.ts$': ['@swc/jest', typescript] },
  testEnvironmentOptions: { customExportConditions: ['brine-src', 'node', 'node-addons'] },
  ...extra,
});

export default {
  // A busy machine may be several times slower than this one: only a test that hangs should meet its limit.
  testTimeout: 90_000,
  // Every core: by itself Jest leaves one free, which on two cores is half the machine.
  maxWorkers: '100%',
  projects: [
    project('core', { roots: ['<rootDir>/core/src', '<rootDir>/core/tests'] }),
    project('contract'),
    project('bus'),
    project('cli'),
    project('server'),
    project('web', {
      testEnvironment: 'jsdom',
      extensionsToTreatAsEsm: ['.ts', '.vue'],
      moduleFileExtensions: ['ts', 'js', 'mjs', 'json', 'vue'],
      transform: {
        '\\.ts$': ['@swc/jest', typescript],
        '\\.vue$': '<rootDir>/web/vueTransform.mjs',
      },
      testEnvironmentOptions: { customExportConditions: ['brine-src', 'browser'] },
      // Its main file is CommonJS and would bring a second Vue along.
      moduleNameMapper: { '^@lucide/vue$': '<rootDir>/node_modules/@lucide/vue/dist/esm/lucide-vue.mjs' },
      globals: {
        __VUE_OPTIONS_API__: true,
        __VUE_PROD_DEVTOOLS__: false,
        __VUE_PROD_HYDRATION_MISMATCH_DETAILS__: false,
      },
    }),
  ],
};
