export {
  type Appearance,
  appearance,
  type Patch,
  type Side,
  sketchOf,
  type Threadwork,
  type Weave
} from './appearance';
