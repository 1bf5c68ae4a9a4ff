export { drawnProblem } from './draw';
export { type Promised, promiseOf } from './promise';
export { type Spread, spreadOf } from './spread';
