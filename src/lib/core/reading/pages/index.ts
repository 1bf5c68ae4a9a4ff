export { delimitedLines } from './delimited';
export { linesOf, linesOfText, textOf } from './lines';
export {
  type Page,
  type Paper,
  type PaperLine,
  type PaperWord,
  partOf,
  type Place,
  placeOf,
  rewritten,
  type Token
} from './paper';
