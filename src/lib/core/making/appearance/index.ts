export { type Appearance, appearance, type Side, sketchOf } from './appearance';
