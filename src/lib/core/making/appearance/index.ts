export { type Appearance, appearance, type Side, sketchOf } from './appearance';
export { contrastOf, threadsOnCloth } from './contrast';
export { faceColour } from './faceColour';
export { recoloured } from './recoloured';
