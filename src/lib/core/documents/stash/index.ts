export {
  ClothEntry,
  CountedEntry,
  Stash,
  STASH_ENTRY_HISTORY,
  STASH_HISTORY,
  STASH_VERSION,
  StashChange,
  StashEntry,
  ThreadEntry
} from './schema';
