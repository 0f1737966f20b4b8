#!/usr/bin/env node
import { fileURLToPath } from 'node:url';

// The sources use decorators, so they need the project's own compiler settings wherever the command is called from.
process.env.TSX_TSCONFIG_PATH = fileURLToPath(new URL('../../tsconfig.json', import.meta.url));
const { register } = await import('tsx/esm/api');
register();
await import('../src/main.ts');
