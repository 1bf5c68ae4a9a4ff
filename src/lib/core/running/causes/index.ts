export { causesOf } from './causes';
export { saidOfLastTime } from './lastTime';
export { answeredCauses, nextQuestion } from './questions';
export { factsOf } from './facts';
export { type Symptom, SYMPTOMS } from './symptoms';
