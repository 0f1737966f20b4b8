import Papa from 'papaparse';

/** A table as CSV; cells that a spreadsheet would run as a formula are made text. */
export const csv = (rows: readonly object[]): string =>
  Papa.unparse([...rows], { escapeFormulae: true, newline: '\r\n' });
