export { drawnProblem } from './draw';
export { chanceOf, type Promised, promiseOf, quantile } from './promise';
export { type Spread, spreadOf } from './spread';
