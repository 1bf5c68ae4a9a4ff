export { keeping, makeBackup, readBackup, rememberBackup, restoreBackup, undoRestore } from './backup';
export { clientId, freshId } from './client';
export { documentsHere, type Handed, handedOver, takeOver } from './handOver';
export { type Photo } from './db';
export { demoWasLoaded, isEmpty } from './demo';
export {
  changeCopies,
  changeCutJob,
  changeItem,
  changeItemAndSetup,
  changeOrder,
  changeSetup,
  changeShop,
  changeStash,
  putAway,
  redoEdit,
  storeCut,
  undoEdit
} from './edits';
export { editHistory } from './history';
export { addItem, duplicateItem, getItem, importItem, itemFile, rawItem } from './items';
export { isKept } from './keep';
export { live } from './live.svelte';
export { leftInHoop, nextInHoop, prepareHooping } from './hoopingRuns';
export { blankOrder, importOrder, newOrder, openOrders } from './orders';
export { ordersWithProgress, orderTable, type OrderTable, weekItems } from './orderTable';
export { type SetAside, setAside, takeOut } from './rows';
export {
  addPhoto,
  eventsOf,
  getRun,
  openRuns,
  photosOf,
  removePhoto,
  runDocument,
  runDocuments
} from './runs';
export { appendEvent, type EventDraft, prepareRun } from './runEvents';
export { keepBobbin, markRun, mendTime, bringRunBack, deleteRun } from './runEdits';
export { bringInDemo, serverOffersDemo } from './server';
export { getShop } from './shop';
export { MachineWatch, RunFollowing, type StandIn, standIns } from './standIn.svelte';
export { addPicture, clearPictures, getPicture } from './pictures';
export { keepPractice, practiceKept } from './practice';
export { importStash, listStash, stashDocument } from './stash';
export { bobbinsMeasured, troubledRuns } from './learned';
export { keepSummaries } from './keepSummaries';
export {
  lastRun,
  loggedRuns,
  looksOf,
  runsThatTell,
  searchShelf,
  shelfRows,
  shortInStash,
  summariesOf
} from './summaries';
export { storageTrouble, watchStorage } from './trouble.svelte';
export { keepWeek, weekKept, weekTable } from './week';
export { keepVoice, type Voice, voiceKept } from './voice';
export { cuttingMat, itemOnBench, keepShoppingWants, shoppingMat, threadTable } from './workbench';
