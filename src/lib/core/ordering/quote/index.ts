export { endWords, orderHoops } from './layingOut';
export { type BobbinRow, orderCutInput, orderThreads, orderWants, type ThreadRow } from './needs';
export { earnedReally, priceByQuantity, type Quote, quoteOf } from './quote';
