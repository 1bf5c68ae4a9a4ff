export type { Context } from './assign';
export { colourOf, isColourName, shelfName, UNKNOWN_COLOUR } from './colour';
export { fitGrid, type Fitted, marginsOf } from './fit';
export { readCount, readThreadLength } from './numbers';
export { guessRole, type RoleGuess } from './roleGuess';
