export { defaultOffers, OffcutRule, Offer } from './buying';
export {
  asTheDesignLies,
  DEFAULT_PACE,
  defaultSetup,
  defaultShop,
  fitIn,
  hoopFor,
  hoopsMovedTo,
  inVariant,
  paceOf,
  positionsOf,
  smallestFit
} from './defaults';
export {
  DEFAULT_HAND_TIMES,
  HAND_TIME_KEYS,
  type HandTimeKey,
  handTimeLabel,
  HandTimes,
  workName
} from './handTimes';
export { Factor, Learned, type LearnedCount, LearnedHands, LearnedMachine } from './learned';
export { isSameLayout, PAPER_FIELDS, type PaperField, PaperLayout } from './paperLayout';
export { reachWords, readReach } from './reach';
export { Hoop, Machine, Setup, SETUP_HISTORY, Shop, SHOP_HISTORY } from './schema';
export { TENSIONS, Trial } from './trial';
export { Bench, DEFAULT_BENCH, Workroom } from './workroom';
export { BobbinKind, bobbinKindOf, BobbinOn } from './supplies';
