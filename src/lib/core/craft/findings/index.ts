export { FINDING_CODES, found, isGraver, sentenceOf, type Found, type FindingCode } from './finding';
export type { Severity } from './saying';
