export * from './chart';
export { colourOf, isColourName, UNKNOWN_COLOUR } from './colour';
export type { PaperFacts } from './facts';
export type { Instruction } from './instructions';
export { linesOf, type Page, type Paper, type PaperLine, type Word } from './paper';
export { matchInstructions, type InstructionMatch, type StepWords } from './matchInstructions';
export * from './roleGuess';
export * from './rowsOfDrawing';
export { threadMeaning, type MeaningGuess, type ThreadMeaning } from './threadMeaning';
