/** Packages that compute: transformed as our own code is, for speed. */
const COMPUTING = '(?:clipper2-ts|earcut|flatbush|flatqueue)/';

const transform = {
  [`^.+\\.ts$|/node_modules/${COMPUTING}.+\\.js$`]: [
    '<rootDir>/../scripts/test-support/bound-globals.mjs',
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
/** One project per workspace that has unit tests; all in Jest's module mode, since several dependencies are modules only. */
const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  extensionsToTreatAsEsm: ['.ts'],
  setupFiles: ['<rootDir>/../scripts/test-support/seeded-properties.mjs'],
  transform,
  transformIgnorePatterns: [`/node_modules/(?!${COMPUTING})`],
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
