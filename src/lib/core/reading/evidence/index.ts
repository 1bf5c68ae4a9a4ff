export { colourOf, isColourName, shelfName, UNKNOWN_COLOUR } from './colour';
export { fitGrid, type Fitted } from './fit';
export { readCount, readThreadLength } from './numbers';
export { guessRole, type RoleGuess } from './roleGuess';
