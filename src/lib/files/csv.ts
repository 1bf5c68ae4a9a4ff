import Papa from 'papaparse';

/** A table as CSV. A spreadsheet must not take a name for a formula. */
export const csv = (rows: object[]): string => Papa.unparse(rows, { newline: '\n', escapeFormulae: true });
