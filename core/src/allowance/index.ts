export * from './mitre.ts';
export * from './trench.ts';
export * from './slot.ts';
export * from './slit.ts';
export * from './hinge.ts';
export * from './rolled.ts';
