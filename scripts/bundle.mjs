/** Bundles programs of ours for Node: our workspaces inside, packages left outside. */
import { build } from 'esbuild';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const ours = {
  name: 'bundle-our-workspaces',
  setup: (b) =>
    b.onResolve({ filter: /^[^./]/ }, ({ path: id }) =>
      id.startsWith('@grain-fold/') || path.isAbsolute(id) ? undefined : { path: id, external: true },
    ),
};

/**
 * @param {Record<string, string>} entryPoints source files by the names of what is made of them
 * @param {string} outdir
 */
export const bundle = (entryPoints, outdir) =>
  build({
    entryPoints,
    outdir,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    logLevel: 'warning',
    plugins: [ours],
    tsconfig: fileURLToPath(new URL('../tsconfig.base.json', import.meta.url)),
  });
