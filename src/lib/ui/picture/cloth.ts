import type { MaterialKind } from '$lib/core/documents/item';
import { formatHex, interpolate, modeRgb, useMode } from 'culori/fn';

useMode(modeRgb);

/** A small drawing that repeats over a cloth, in mm. */
export interface Texture {
  size: number;
  /** Lines as SVG path data. */
  lines: string;
  /** Width of the lines, mm. */
  width: number;
}

/** How the right side of each kind of material is told apart from the others without its colour. */
const TEXTURES: Partial<Record<MaterialKind, Texture>> = {
  woven: { size: 5, lines: 'M1 1.6l1.2 1.2M3.6 4.1l1.2 1.2', width: 0.45 },
  knit: { size: 3, lines: 'M0 0.6l1.5 1.2l1.5 -1.2M0 2.1l1.5 1.2l1.5 -1.2', width: 0.3 },
  felt: { size: 6, lines: 'M1 1.2h0.7M3.4 2.6h0.6M2 4.4h0.7M5 5.2h0.5', width: 0.4 },
  vinyl: { size: 9, lines: 'M0 3q2.2 -1.6 4.5 0t4.5 0M0 7.5q2.2 -1.6 4.5 0t4.5 0', width: 0.25 },
  canvas: { size: 2.4, lines: 'M0 0.6h2.4M0.6 0v2.4', width: 0.22 },
  towelling: { size: 3.2, lines: 'M0.4 1.6a0.8 0.8 0 1 1 1.6 0M2 3.1a0.8 0.8 0 1 1 1.6 0', width: 0.35 },
  fleece: { size: 5, lines: 'M1 2q0.8 -1.4 1.6 0M3.4 4.2q0.7 -1.2 1.4 0', width: 0.4 },
  'stretch-mesh': { size: 2.6, lines: 'M0 0l2.6 2.6M2.6 0l-2.6 2.6', width: 0.3 },
  batting: { size: 6, lines: 'M1 3q1 -1.2 2 0t2 0', width: 0.35 }
};
/** Stabilisers are ruled, whichever they are. */
const RULED: Texture = { size: 4, lines: 'M0 4l4 -4', width: 0.25 };

/** The drawing of a material’s right side; none for its wrong side, which is plain. */
export function textureOf(kind: MaterialKind, rightSide: boolean): Texture | null {
  if (!rightSide) return null;
  return TEXTURES[kind] ?? (kind === 'zip' || kind === 'metal-zip' ? null : RULED);
}

const INK = '#1d2330';

/** Lines drawn on a colour: darker on a light one, lighter on a dark one. */
export function markColour(colour: string, share = 0.28): string {
  const isDark = parseInt(colour.slice(1, 3), 16) * 0.3 + parseInt(colour.slice(3, 5), 16) * 0.59 < 88;
  return formatHex(interpolate([colour, isDark ? '#ffffff' : INK], 'rgb')(share));
}
