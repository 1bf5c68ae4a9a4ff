export { countsFromItems } from './counts';
export { bobbinMeasures } from './bobbinMeasures';
export { learnFromRuns } from './observed';
export { lessonWords, taughtBy } from './taught';
