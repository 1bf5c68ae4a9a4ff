export { isNamedFor } from './named';
export { cautionOf } from './cautionOf';
export { STOP_CAUTION } from './cautions';
export type { StackEffect } from './effects';
export { GLOSSARY, wordsIn } from './glossary';
export { handTime } from './handTime';
export { hoopAfter, hoopWords } from './hoopState';

export { newOperation } from './newOperation';
export { wordingOf } from './wording';
export { isKindOf, OPERATION_KINDS, traitsOf } from './table';
export type { Field } from './fields';
