export type { KnownLayout } from './candidates';
export { type ChartReading, readChart, readPaper, type ReadRow, type Said } from './chart';
export { columnToAsk, layoutSaying, type ReadColumn } from './columns';
export type { Instruction } from './instructions';
export { type InstructionMatch, matchInstructions, type StepWords } from './matchInstructions';
export type { ReadList } from './lists';
export { chosenOutline, drawnAround, outlineChoices, rowsOfDrawing, rowsOfList } from './rowsOfDrawing';
export type { ThreadMeaning } from './threadMeaning';
