export { countsFromItems } from './counts';
export { bobbinMeasures } from './bobbinMeasures';
export { learnFromRuns } from './observed';
export { loggedFaults, type LoggedFaults } from './loggedFaults';
export { lessonWords, taughtBy } from './taught';
