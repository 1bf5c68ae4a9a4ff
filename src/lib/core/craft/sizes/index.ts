export { cutList } from './cutList';
export { MARGIN_MM, type Shrinkage, type SizingRules } from './sizing';
