export { AS_IT_IS, clothsLike, type Colourway, inColours, lacksOf, seenOf, threadsIn } from './colourways';
export { suggestColourways } from './suggest';
