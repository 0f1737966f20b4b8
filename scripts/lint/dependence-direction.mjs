import path from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** Which workspaces each workspace may import. */
export const WORKSPACE_MAY_IMPORT = {
  core: [],
  contract: ['core'],
  server: ['core', 'contract'],
  web: ['core', 'contract'],
  cli: ['core', 'contract'],
  bench: ['core'],
  attack: ['core', 'contract', 'server'],
  e2e: [],
  scripts: ['core', 'contract'],
};

/** The folders of core/src: each may import only those before it, and only through their index. */
export const CORE_FOLDER_ORDER = [
  'units',
  'geometry',
  'stock',
  'allowance',
  'marks',
  'operations',
  'paths',
  'features',
  'part',
  'resolve',
  'linecode',
  'ink',
  'editing',
  'checks',
  'pointing',
  'folds',
  'scale',
  'plan',
  'forms',
  'nesting',
  'pages',
  'cutting',
  'printers',
  'covering',
  'balance',
  'building',
  'flying',
  'airframe',
  'formats',
  'intake',
  'standins',
];

/** What core may use from outside: libraries of its field, no framework, no Node, no DOM. */
const CORE_LIBRARIES = [
  '@tarikjabiri/dxf',
  'bezier-js',
  'clipper2-ts',
  'css-tree',
  'd3-color',
  'earcut',
  'fflate',
  'flatbush',
  'fraction.js',
  'papaparse',
  'saxes',
  'svgpath',
];

/**
 * Where a file stands: its workspace and, within core, its folder.
 * @param {string} file absolute path
 */
function standing(file) {
  const parts = path.relative(ROOT, file).split(path.sep);
  return { workspace: parts[0], coreFolder: parts[0] === 'core' && parts[1] === 'src' ? parts[2] : undefined };
}

/**
 * Why an import breaks the direction of dependence, or undefined when it does not.
 * @param {string} file absolute path of the importing file
 * @param {string} specifier what it imports
 * @returns {string | undefined}
 */
export function whyForbidden(file, specifier) {
  const from = standing(file);
  const allowed = WORKSPACE_MAY_IMPORT[from.workspace];
  if (!allowed) return undefined;
  const isTest = /\.test\.ts$|\/test\//.test(file);
  const own = /^@grain-fold\/([^/]+)/.exec(specifier);
  if (own) {
    return allowed.includes(own[1]) ? undefined : `${from.workspace} may not import ${own[1]}`;
  }
  if (!specifier.startsWith('.')) {
    if (from.workspace !== 'core' || isTest || CORE_LIBRARIES.includes(specifier)) return undefined;
    return `core may not import ${specifier}: it takes only ${CORE_LIBRARIES.join(', ')}`;
  }
  const target = path.resolve(path.dirname(file), specifier);
  const to = standing(target);
  // Tests are given their database, their program and their readers by the scripts.
  const isWhole = from.workspace === 'e2e' || from.workspace === 'attack';
  if (to.workspace === 'scripts' && (isTest || isWhole || /\/build\.mjs$/.test(file))) return undefined;
  // The attack takes the routes from the server's own routers, so that a new one is attacked by being there.
  if (from.workspace === 'attack' && to.workspace === 'server') return undefined;
  // Samples and random edits of the core's tests serve the tests of those that build on it.
  const isOnTests = isTest || from.workspace === 'attack' || from.workspace === 'bench';
  if (isOnTests && to.workspace === 'core' && target.includes('/core/test/') && allowed.includes('core'))
    return undefined;
  // Plans to try with ship with the pages, as files.
  if (from.workspace === 'web' && target.includes('/demo/plans/')) return undefined;
  if (to.workspace !== from.workspace) return `${from.workspace} may not reach into ${to.workspace} by path`;
  if (!from.coreFolder || !to.coreFolder || from.coreFolder === to.coreFolder) return undefined;
  if (!isTest && CORE_FOLDER_ORDER.indexOf(to.coreFolder) >= CORE_FOLDER_ORDER.indexOf(from.coreFolder)) {
    return `core/${from.coreFolder} may not import core/${to.coreFolder}: it stands later in the order`;
  }
  if (!/\/index\.ts$/.test(target)) return `import core/${to.coreFolder} through its index.ts`;
  return undefined;
}

/** ESLint rule: fails where an import goes against the direction of dependence. */
export const dependenceDirection = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const check = (node) => {
      if (typeof node.source?.value !== 'string') return;
      const why = whyForbidden(context.filename, node.source.value);
      if (why) context.report({ node, message: why });
    };
    return {
      ImportDeclaration: check,
      ExportNamedDeclaration: check,
      ExportAllDeclaration: check,
      ImportExpression: check,
    };
  },
};
