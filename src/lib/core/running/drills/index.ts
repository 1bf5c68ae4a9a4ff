export { type Drill, SKILL_WORDS, SKILLS } from './drill';
export { drillsOf } from './makeDrills';
export { pathOf, stationItem } from './path';
export { nextDrill, Practised, practised } from './schedule';
