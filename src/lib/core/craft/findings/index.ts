export { inside } from './saying';
export {
  found,
  isGraver,
  sentenceOf,
  severityOf,
  type Found,
  type FindingCode,
  type ValuesOf
} from './finding';
