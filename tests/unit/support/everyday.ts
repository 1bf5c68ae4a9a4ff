import type { Block } from '$lib/core/documents/item';
import { blocksOf } from './blocks';

/** An item as somebody would put it together on Build: its outline and its blocks. */
export interface Everyday {
  outline: { shape?: string; width: number; height: number };
  blocks: Block[];
}

const COTTON = { kind: 'woven', name: 'Fern print', colour: '#4d7148' };
const LINING = { kind: 'woven', name: 'Cream', colour: '#efe3c4' };
const FELT = { kind: 'felt', name: 'Moss felt', colour: '#6c7a55' };
const LINEN = { kind: 'woven', name: 'Napkin linen', colour: '#efe9da' };

/** Eight everyday items that no construction has. */
export const EVERYDAY = {
  /** Outer bag and lining in a hooping each, both with the mouth open; joined round it and turned through the lining. */
  sleeve: {
    outline: { shape: 'rectangle', width: 150, height: 210 },
    blocks: blocksOf(
      'hooping',
      'batting',
      ['front', { cloth: COTTON }],
      ['back-turned', { cloth: COTTON, closes: 'mouth', at: 'top' }],
      'finishing',
      ['hooping', { stabiliser: 'tear-away' }],
      ['front', { cloth: LINING }, 'Lining front'],
      [
        'back-turned',
        { cloth: LINING, closes: 'mouth', at: 'top', also: 'bottom', opening: 80 },
        'Lining back'
      ],
      ['finishing', { then: 'sewn-up' }],
      ['sew-up', { how: 'join', parts: 'the mouths of outer bag, lining', long: 300, seam: 6 }],
      ['sew-up', { how: 'turn', parts: 'the sleeve' }],
      ['sew-up', { how: 'close', parts: 'the lining', by: 'hand', long: 80 }],
      ['sew-up', { how: 'line', parts: 'the outer bag' }]
    )
  },
  /** A flag of two layers whose casing for the pole is a folded piece in its left seam. */
  flag: {
    outline: { shape: 'rectangle', width: 150, height: 100 },
    blocks: blocksOf(
      ['hooping', { ground: 'hooped', cloth: COTTON }],
      ['details', {}, 'Design'],
      [
        'piece',
        {
          side: 'left',
          much: 40,
          form: 'folded',
          openEdge: 'fold',
          left: 'seam',
          right: 'open',
          top: 'open',
          bottom: 'open'
        },
        'Casing'
      ],
      ['back-turned', { cloth: LINING, at: 'bottom' }],
      'finishing'
    )
  },
  /** Three sides that are alike, a hooping each, sewn to each other and closed below. */
  pouch: {
    outline: { shape: 'triangle', width: 120, height: 104 },
    blocks: blocksOf(
      ...[1, 2, 3].flatMap((side): [string, Record<string, unknown>, string?][] => [
        ['hooping', { ground: 'hooped', cloth: COTTON, stabiliser: 'cutaway' }],
        ['details', {}, `Design ${side}`],
        ['finishing', { then: 'sewn-up', seam: 8 }]
      ]),
      ['sew-up', { how: 'join', parts: 'side 1, side 2, side 3', long: 360, seam: 8, open: 100 }],
      ['sew-up', { how: 'zip', parts: 'side 1, side 3', long: 100, seam: 8 }],
      ['sew-up', { how: 'turn', parts: 'the pouch' }]
    )
  },
  /** A pocket stitched by itself with a window that shows another cloth, then laid on the front and stitched down. */
  window: {
    outline: { shape: 'rectangle', width: 100, height: 90 },
    blocks: blocksOf(
      ['hooping', { ground: 'none', stabiliser: 'tear-away' }],
      [
        'piece',
        {
          extent: 'shape',
          shape: 'rectangle',
          width: 70,
          height: 70,
          top: 'stitched',
          right: 'stitched',
          bottom: 'stitched',
          left: 'stitched',
          cloth: FELT
        },
        'Showing'
      ],
      ['piece', { extent: 'whole', cloth: FELT, held: 'spray' }, 'Pocket'],
      ['reverse-applique', { width: 40, height: 40, edge: 'raw' }],
      ['finishing', { then: 'sewn-up', seam: 3 }],
      ['hooping', { ground: 'hooped', cloth: COTTON, stabiliser: 'cutaway' }],
      ['carried', { from: 1, shape: 'rectangle', width: 106, height: 96 }],
      'finishing'
    )
  },
  /** Six segments, two to a hooping, and a base, rinsed and joined once. */
  bowl: {
    outline: { shape: 'hexagon', width: 60, height: 60 },
    blocks: blocksOf(
      ['parts-set', { parts: 6, together: 2, shape: 'shield', width: 60, height: 80 }, 'Segment'],
      ['parts-set', { parts: 1, together: 1, shape: 'hexagon', width: 60, height: 60 }, 'Base'],
      ['rinse-all', { loops: 18, form: 'bowl' }]
    )
  },
  /** One long cloth, three hoopings, the design in each. */
  runner: {
    outline: { shape: 'rectangle', width: 180, height: 200 },
    blocks: blocksOf(
      ['hooping', { ground: 'hooped', cloth: LINEN, wide: 400, high: 900 }],
      ['details', {}, 'Left third'],
      ['hoop-again', { towards: 220 }],
      ['details', {}, 'Middle third'],
      ['hoop-again', { towards: 220 }],
      ['details', {}, 'Right third'],
      'finishing',
      ['sew-up', { how: 'fold', parts: 'the four edges' }],
      ['sew-up', { how: 'lap', parts: 'the hems', long: 2000, seam: 10 }]
    )
  },
  /** Lined apron: ruffle below, a tie at either side, a pocket in front. */
  apron: {
    outline: { shape: 'rectangle', width: 200, height: 260 },
    blocks: blocksOf(
      ['hooping', { ground: 'hooped', cloth: COTTON, stabiliser: 'cutaway' }],
      [
        'piece',
        {
          extent: 'shape',
          shape: 'rectangle',
          width: 90,
          height: 70,
          down: 40,
          top: 'open',
          right: 'stitched',
          bottom: 'stitched',
          left: 'stitched'
        },
        'Pocket'
      ],
      [
        'piece',
        {
          side: 'bottom',
          much: 50,
          lies: 'down',
          form: 'gathered',
          fullness: '2',
          bottom: 'seam',
          top: 'open',
          left: 'open',
          right: 'open'
        },
        'Ruffle'
      ],
      ['caught', { what: 'tie', side: 'left', along: -60, width: 20, reach: 600 }, 'Left tie'],
      ['caught', { what: 'tie', side: 'right', along: -60, width: 20, reach: 600 }, 'Right tie'],
      ['back-turned', { cloth: LINING, at: 'top' }, 'Lining'],
      'finishing'
    )
  },
  /** A monogram in the corner of a bought napkin; six are an order. */
  napkin: {
    outline: { shape: 'rectangle', width: 60, height: 60 },
    blocks: blocksOf(
      [
        'ready-made',
        {
          thing: 'napkin',
          cloth: LINEN,
          width: 400,
          height: 400,
          right: 140,
          towards: 140,
          stabiliser: 'tear-away'
        }
      ],
      ['details', {}, 'Monogram'],
      'finishing'
    )
  }
} as const satisfies Record<string, Everyday>;
