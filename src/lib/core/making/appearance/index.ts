export { type Appearance, appearance, type Side, sketchOf, type Threadwork } from './appearance';
export { DESIGNS, placedIn, type PlacedArt, stopsInPlace } from './art';
export { FITTING_SIZES, type Fitting } from './hardware';
export { contrastOf, threadsOnCloth } from './contrast';
export { faceColour } from './faceColour';
export { recoloured } from './recoloured';
