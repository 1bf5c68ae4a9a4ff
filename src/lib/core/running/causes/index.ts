export { causesOf } from './causes';
export { factsOf } from './facts';
export { type Symptom, SYMPTOMS } from './symptoms';
