export * from './cut-list.ts';
export * from './cut-list-csv.ts';
export * from './cut-list-pages.ts';
export * from './part-picture.ts';
