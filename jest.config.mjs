/** One project per workspace that has unit tests; all in Jest's module mode, since several dependencies are modules only. */
const transform = {
  '^.+\\.ts$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', decorators: true },
        transform: { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false },
        target: 'es2022',
      },
      module: { type: 'es6' },
    },
  ],
};
const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  extensionsToTreatAsEsm: ['.ts'],
  setupFiles: ['<rootDir>/../scripts/test-support/seeded-properties.mjs'],
  transform,
  ...extra,
});

export default {
  // A machine with other work to do is slow, not broken.
  testTimeout: 60_000,
  projects: [
    project('core'),
    project('contract'),
    project('server', {
      globalSetup: '<rootDir>/test/start-database.mjs',
      globalTeardown: '<rootDir>/test/stop-database.mjs',
    }),
    project('cli'),
    project('web'),
    project('scripts'),
  ],
};
