export * from './paint-pdf.ts';
