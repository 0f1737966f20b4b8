export * from './mitre.ts';
export * from './trench.ts';
