export * from './board.ts';
export * from './grain.ts';
