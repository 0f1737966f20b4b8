export { type MadeShell, makeShell } from './make-shell.ts';
export * from './parameters.ts';
export { scaleShell, shellMaterials } from './scale-shell.ts';
export type { EdgeRow, EdgeWay, ShellFigures } from './shell-figures.ts';
export { type ShellStart, shellFromNumbers, usualShell } from './shell-starts.ts';
export type { ShellSite } from './shell-site.ts';
export { type Mesh, type MeshFace, planeFaces, pointsOf, turnOver } from './mesh.ts';
export { type Patch, boundaryOf, unfoldMesh } from './unfold.ts';
export { shellNumbers } from './shell-faults.ts';
