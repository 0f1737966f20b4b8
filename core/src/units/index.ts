export * from './core-error.ts';
export * from './angle.ts';
export * from './length-unit.ts';
export * from './parse-length.ts';
export * from './format-length.ts';
export * from './random.ts';
export * from './stable-hash.ts';
