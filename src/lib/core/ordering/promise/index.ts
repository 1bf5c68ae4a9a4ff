export { drawnProblem } from './draw';
export { chanceOf, type Promised, promiseOf, quantile, withBobbinsWound, withSecondHoops } from './promise';
export { type Spread, spreadOf } from './spread';
