export * from './chart';
export { colourOf, isColourName, UNKNOWN_COLOUR } from './colour';
export * from './roleGuess';
