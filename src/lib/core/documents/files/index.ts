export { Backup, BACKUP_VERSION, emptyBackup } from './backup';
export { BackupReader, type LooseBackup } from './looseBackup';
export { type JsonPart, JsonSplitter } from './splitJson';
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
export { type Choice, type Difference, differences, handedKey, mergedEvents, takenOver } from './handOver';
