export { carried, isSame, merge, rowOrder } from './merge';
