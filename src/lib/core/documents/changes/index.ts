export { carried, isSame, merge } from './merge';
