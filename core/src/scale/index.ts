export * from './scale-part.ts';
