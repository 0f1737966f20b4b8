export * from './paper.ts';
export * from './ink.ts';
export * from './legend.ts';
export type { Template } from './template.ts';
export * from './plan-pages.ts';
export * from './page-ink.ts';
export { bestLattice, cellWindow, type InkLine, type TileLattice } from './tile-lattice.ts';
