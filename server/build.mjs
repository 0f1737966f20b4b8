/** Bundles the server: the main program and the jobs of its threads. */
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { bundle } from '../scripts/bundle.mjs';

const here = path.dirname(fileURLToPath(import.meta.url));
await bundle(
  {
    main: path.join(here, 'src/main.ts'),
    'documents/document-job': path.join(here, 'src/documents/document-job.ts'),
    'nesting/nest-thread': path.join(here, 'src/nesting/nest-thread.ts'),
    'reading/reading-job': path.join(here, 'src/reading/reading-job.ts'),
  },
  path.join(here, 'dist'),
);
