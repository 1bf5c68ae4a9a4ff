export { cautionOf, STOP_CAUTION } from './cautions';
export { GLOSSARY, wordsIn } from './glossary';
export { handTime } from './handTime';
export { hoopAfter, hoopWords } from './hoopState';
export { markOf } from './marks';
export { newOperation, OPERATION_LABELS } from './newOperation';
export { wordingOf } from './wording';
