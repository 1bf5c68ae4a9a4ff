export { type Drill, type Skill, SKILL_WORDS, SKILLS } from './drill';
export { drillsOf } from './makeDrills';
export { nextDrill, Practised, practised } from './schedule';
