import { formatHex, interpolate, modeRgb, useMode } from 'culori/fn';

useMode(modeRgb);

const CALICO = '#efe8da';
/** Share of calico in the colour of a wrong side. */
const PALER = 0.55;

/**
 * The colour of a side: a wrong side is paler, as the back of a print is.
 *
 * @example
 * faceColour('#8d2f35', true) // '#8d2f35'
 */
export function faceColour(colour: string, rightSide: boolean): string {
  return rightSide ? colour : formatHex(interpolate([colour, CALICO], 'rgb')(PALER));
}
