export { endWords, orderHoops } from './layingOut';
export { type BobbinRow, orderCutInput, orderThreads, orderWants, type ThreadRow } from './needs';
export { priceByQuantity, type Quote, quoteOf } from './quote';
