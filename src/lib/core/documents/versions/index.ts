export {
  type Lift,
  type RawDocument,
  versioned,
  versionField,
  type VersionHistory,
  versionOf
} from './versions';
