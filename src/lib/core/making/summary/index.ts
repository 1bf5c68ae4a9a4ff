export { itemSummary, type ItemSummary } from './itemSummary';
export { ribbonStep, type RibbonStep, ribbonSteps } from './ribbon';
