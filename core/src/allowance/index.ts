export * from './mitre.ts';
export * from './trench.ts';
export * from './slot.ts';
