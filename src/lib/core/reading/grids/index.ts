export { cardsOf, unfoldedLines } from './cards';
export type { Grid } from './grid';
export { raggedOf } from './ragged';
export { sentencesOf } from './sentences';
export { tablesOf, turnedTablesOf } from './tables';
