export * from './paint-pdf.ts';
export * from './write-pdf.ts';
