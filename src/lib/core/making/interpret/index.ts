export { type Interpretation, interpret } from './judge';
