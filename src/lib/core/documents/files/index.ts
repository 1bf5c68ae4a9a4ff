export { Backup } from './backup';
export {
  type DocumentError,
  type DocumentKind,
  type DocumentResult,
  DOCUMENTS,
  jsonSchema,
  readDocument,
  readValue
} from './read';
