export { type Drill, SKILL_WORDS, SKILLS } from './drill';
export { drillsOf } from './makeDrills';
export { nextDrill, Practised, practised } from './schedule';
