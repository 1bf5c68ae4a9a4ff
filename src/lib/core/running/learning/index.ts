export { bobbinMeasures } from './bobbinMeasures';
export { learnFromRuns } from './observed';
export { lessonWords, taughtBy } from './taught';
