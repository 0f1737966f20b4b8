export * from './part.ts';
export * from './operations/index.ts';
export * from './commands/index.ts';
export * from './checks/index.ts';
export * from './resolve.ts';
export * from './twin.ts';
export * from './line-code.ts';
export * from './draft-shapes.ts';
