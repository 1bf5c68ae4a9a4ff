import type { Material } from '$lib/core/documents/item';

/** Something one buys finished. */
export interface Bought {
  label: string;
  name: string;
  /** What hangs from the hoop and must be kept clear. */
  hangs: string;
  /** What it is usually made of, and its usual size, mm. */
  cloth: Material;
  size: [width: number, height: number];
  /** How far hems and seams reach in from its edges, mm. */
  hem: number;
  /** Where a design of 90 × 60 usually stands, mm from the middle: to the right, and towards the maker. */
  place: [right: number, towards: number];
}

const WHITE = '#e9e2d0';

/** Things one buys finished. */
export const THINGS = {
  towel: {
    label: 'A towel',
    name: 'TOWEL',
    hangs: 'Roll the ends up and clip them: nothing lies under the field.',
    cloth: { kind: 'towelling', name: 'Station towel', colour: WHITE },
    size: [500, 900],
    hem: 15,
    // 300 from its end.
    place: [0, 150]
  },
  shirt: {
    label: 'A shirt',
    name: 'SHIRT',
    hangs: 'Sleeves and back folded away from under the field, neck towards you.',
    cloth: { kind: 'knit', name: 'Shirt jersey', colour: WHITE },
    size: [500, 700],
    hem: 25,
    // Over the heart of whoever wears it.
    place: [100, -150]
  },
  tote: {
    label: 'A tote bag',
    name: 'TOTE BAG',
    hangs: 'Handles and the other side held away: only one side lies under the needle.',
    cloth: { kind: 'canvas', name: 'Bag canvas', colour: WHITE },
    size: [380, 420],
    hem: 30,
    place: [0, 0]
  },
  cap: {
    label: 'A cap panel',
    name: 'CAP PANEL',
    hangs: 'The peak points away from the machine, the sweatband is folded out.',
    cloth: { kind: 'canvas', name: 'Cap cloth', colour: WHITE },
    size: [160, 100],
    hem: 12,
    place: [0, 0]
  },
  napkin: {
    label: 'A napkin',
    name: 'NAPKIN',
    hangs: 'The rest lies flat beside the hoop.',
    cloth: { kind: 'woven', name: 'Napkin linen', colour: WHITE },
    size: [400, 400],
    hem: 10,
    // In a corner, 50 from both edges.
    place: [105, 120]
  },
  pocket: {
    label: 'A pocket',
    name: 'POCKET',
    hangs: 'Only its front lies under the needle: the garment is folded away, the mouth held open.',
    cloth: { kind: 'woven', name: 'Pocket cotton', colour: WHITE },
    size: [130, 150],
    hem: 12,
    place: [0, 0]
  },
  garment: {
    label: 'The back of a garment',
    name: 'GARMENT BACK',
    hangs: 'Front and sleeves folded away from under the field.',
    cloth: { kind: 'woven', name: 'Garment cotton', colour: WHITE },
    size: [480, 600],
    hem: 15,
    // Between the shoulders.
    place: [0, -150]
  },
  part: {
    label: 'A finished part of a garment',
    name: 'GARMENT PART',
    hangs: 'Roll the rest of the garment and clip it out of the way of the needle and the arm.',
    cloth: { kind: 'woven', name: 'Garment cotton', colour: WHITE },
    size: [200, 300],
    hem: 12,
    place: [0, 0]
  }
} as const satisfies Record<string, Bought>;
export type Thing = keyof typeof THINGS;
