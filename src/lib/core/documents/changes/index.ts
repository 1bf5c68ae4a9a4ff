export { carried, isSame, merge, type Merged } from './merge';
