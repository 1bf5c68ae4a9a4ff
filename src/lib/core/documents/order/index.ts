export { Placement, type Turn, TURNS } from './placement';
export {
  DEFAULT_RATES,
  newLine,
  Order,
  ORDER_HISTORY,
  ORDER_VERSION,
  OrderLine,
  piecesToStitch,
  Rates,
  Repeats,
  Terms
} from './schema';
