export { endWords, orderHoops } from './layingOut';
export {
  type BobbinRow,
  orderCutInput,
  orderDemands,
  orderThreads,
  orderWants,
  type ThreadRow
} from './needs';
export { earnedReally, priceByQuantity, type Quote, quoteOf } from './quote';
