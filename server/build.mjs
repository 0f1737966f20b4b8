/** Bundles the server: the main program and the document job, packages left outside. */
import { build } from 'esbuild';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const here = path.dirname(fileURLToPath(import.meta.url));
const ours = {
  name: 'bundle-our-workspaces',
  setup: (b) =>
    b.onResolve({ filter: /^[^./]/ }, ({ path: id }) =>
      id.startsWith('@grain-fold/') || path.isAbsolute(id) ? undefined : { path: id, external: true },
    ),
};

await build({
  entryPoints: {
    main: path.join(here, 'src/main.ts'),
    'documents/document-job': path.join(here, 'src/documents/document-job.ts'),
    'reading/reading-job': path.join(here, 'src/reading/reading-job.ts'),
  },
  outdir: path.join(here, 'dist'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [ours],
  tsconfig: path.join(here, '../tsconfig.base.json'),
});
