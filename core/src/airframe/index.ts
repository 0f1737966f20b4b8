export * from './airframe.ts';
export * from './funnel.ts';
export * from './nest-airframe.ts';
export * from './figures.ts';
export * from './documents.ts';
export * from './assembled.ts';
export * from './fold-view.ts';
