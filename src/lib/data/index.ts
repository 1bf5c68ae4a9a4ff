export { keeping, makeBackup, rememberBackup, restoreBackup, undoRestore } from './backup';
export { clientId, freshId } from './client';
export { type Photo } from './db';
export { demoWasLoaded, isEmpty } from './demo';
export {
  addItem,
  bringItemBack,
  changeSetup,
  duplicateItem,
  getItem,
  importItem,
  listItems,
  putItemAway,
  saveItem
} from './items';
export { live } from './live.svelte';
export {
  changeOrder,
  importOrder,
  newOrder,
  ordersWithProgress,
  type OrderTable,
  orderTable,
  prepareHooping,
  putOrderAway
} from './orders';
export {
  addPhoto,
  appendEvent,
  type EventDraft,
  eventsOf,
  getRun,
  listRuns,
  markRun,
  photosOf,
  prepareRun,
  recentRuns,
  removePhoto,
  runDocument,
  runDocuments
} from './runs';
export { bringInDemo, serverOffersDemo } from './server';
export { getShop, RECENT, saveShop, teaches } from './shop';
export { MachineWatch, RunFollowing, type StandIn, standIns } from './standIn.svelte';
export { applyCut, importStash, listStash, removeEntry, saveCutJob, saveEntry, stashDocument } from './stash';
export { keepVoice, type Voice, voiceKept } from './voice';
export {
  cuttingMat,
  itemOnBench,
  keepShoppingWants,
  plannedItems,
  shoppingMat,
  threadTable
} from './workbench';
