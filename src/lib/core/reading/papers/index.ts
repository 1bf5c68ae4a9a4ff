export { type ChartReading, readChart, readPaper, type ReadRow } from './chart';
export type { Instruction } from './instructions';
export { type InstructionMatch, matchInstructions, type StepWords } from './matchInstructions';
export { chosenOutline, drawnAround, outlineChoices, rowsOfDrawing, rowsOfList } from './rowsOfDrawing';
export type { ThreadMeaning } from './threadMeaning';
