export { Backup, BACKUP_VERSION } from './backup';
export {
  type DocumentError,
  type DocumentKind,
  type DocumentResult,
  DOCUMENTS,
  jsonSchema,
  readDocument,
  readRow,
  readValue,
  type RowKind,
  type RowOf
} from './read';
