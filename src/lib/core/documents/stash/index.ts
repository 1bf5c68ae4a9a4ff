export {
  ClothEntry,
  CountedEntry,
  Stash,
  STASH_VERSION,
  StashChange,
  StashEntry,
  ThreadEntry
} from './schema';
