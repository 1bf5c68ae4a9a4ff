export { type Calendar, DAY_S, type Span } from './calendar';
export { decode, type Decisions, URGENCIES } from './decode';
export { tightened } from './exact';
export { oneByOne } from './oneByOne';
export { AWAY_S, presenceOf } from './presence';
export type { JobTimes, Problem, Schedule, ScheduleJob, ScheduleTask, Station } from './problem';
export { type Found, type ScheduleSearchOptions, searchSchedule, worth } from './search';
export { together } from './washes';
export { handSeconds, machineSeconds, type Segment, type TableWork, type WorkTimes } from './work';
