import { z } from 'zod';
import { type LengthUnit, MM_PER_INCH } from '$lib/core/base/units';
import { MaterialKind, STABILISERS } from '$lib/core/documents/item';

const Mm = z.number().min(1).max(100_000);

/** When an offcut goes back into the stash. */
export const OffcutRule = z.object({
  by: z
    .enum(['kind', 'ring', 'side'])
    .describe('stabiliser by the smallest ring and cloth by its side; or all by one of them'),
  side: z.number().min(0).max(5000).describe('least shorter side, mm'),
  margin: z.number().min(0).max(200).describe('on each side of the ring, mm')
});
export type OffcutRule = z.infer<typeof OffcutRule>;

export const DEFAULT_OFFCUT_RULE: OffcutRule = { by: 'kind', side: 100, margin: 25 };

/** How a material is sold: by steps of length, by the sheet, or by the roll. */
export const Offer = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(80),
  kinds: z.array(MaterialKind).min(1),
  by: z.enum(['length', 'sheet', 'roll']),
  width: Mm,
  height: Mm.describe('one step of length, the other side of a sheet, or the length of a roll, mm'),
  price: z.number().min(0).max(100_000).nullable().describe('of a step, sheet or roll; null where unknown')
});
export type Offer = z.infer<typeof Offer>;

const CLOTH: MaterialKind[] = ['woven', 'canvas'];
const WIDE: MaterialKind[] = ['knit', 'towelling', 'fleece', 'stretch-mesh', 'vinyl'];

/** What shops usually sell, in the steps of the unit; prices are the maker’s to fill in. */
export function defaultOffers(unit: LengthUnit): Offer[] {
  const inches = (value: number): number => value * MM_PER_INCH;
  const step = unit === 'in' ? { say: '⅛ yd', mm: inches(4.5) } : { say: '10 cm', mm: 100 };
  const by = (id: string, what: string, kinds: MaterialKind[], width: number): Offer => ({
    id,
    name: `${what}, by ${step.say}`,
    kinds,
    by: 'length',
    width,
    height: step.mm,
    price: null
  });
  const roll = (width: number): Offer => ({
    id: `roll-${width}`,
    name: `Stabiliser roll, ${width} in wide`,
    kinds: [...STABILISERS],
    by: 'roll',
    width: inches(width),
    height: 9144,
    price: null
  });
  return [
    by('cloth', 'Cloth', CLOTH, unit === 'in' ? inches(44) : 1100),
    {
      id: 'fat-quarter',
      name: 'Fat quarter',
      kinds: ['woven'],
      by: 'sheet',
      width: inches(18),
      height: inches(22),
      price: null
    },
    by('wide', 'Wide cloth', WIDE, unit === 'in' ? inches(54) : 1400),
    { id: 'felt', name: 'Felt sheet', kinds: ['felt'], by: 'sheet', width: 230, height: 305, price: null },
    by('felt-length', 'Felt', ['felt'], 900),
    by('batting', 'Batting', ['batting'], 1140),
    by('fusible', 'Fusible web and interfacing', ['fusible', 'interfacing', 'heat-adhesive'], 450),
    roll(10),
    roll(12),
    roll(20)
  ];
}
