/** The package publishes no types for the storage of its decorators; the schema's writer knows what it holds. */
declare module 'class-transformer/cjs/storage.js' {
  import type { IOptions } from 'class-validator-jsonschema/build/options.js';

  export const defaultMetadataStorage: IOptions['classTransformerMetadataStorage'];
}
