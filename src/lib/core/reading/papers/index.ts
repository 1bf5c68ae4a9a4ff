export { type ChartReading, readChart, readPaper, type ReadRow } from './chart';
export { colourOf, UNKNOWN_COLOUR } from './colour';
export type { Instruction } from './instructions';
export { type InstructionMatch, matchInstructions, type StepWords } from './matchInstructions';
export { type Page, type Paper, type PaperWord, textOf } from './paper';
export type { Place } from './rows';
export { chosenOutline, drawnAround, outlineChoices, rowsOfDrawing, rowsOfList } from './rowsOfDrawing';
export type { ThreadMeaning } from './threadMeaning';
