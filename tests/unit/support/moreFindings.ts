import type { Wrong } from './findings';
import { added, both, gone, kind, moved, op, piece, stop } from './mistakes';

/** Patches, lace, appliqué, cutwork and tabs. */
export const MORE_WRONG: Wrong[] = [
  {
    construction: 'pile-patch',
    what: 'no topping',
    mistake: gone('topping-on'),
    finding: 'warn pile stop-3',
    text: 'Stop 3 sinks into PILE: there is no topping on its pile.'
  },
  {
    construction: 'pile-patch',
    what: 'topping left on',
    mistake: gone('topping-off'),
    finding: 'warn topping topping-on',
    text: 'TOPPING is never taken off.'
  },
  {
    construction: 'pile-patch',
    what: 'the pile trimmed before it is tacked',
    mistake: moved('stop-2', 'trim-pile'),
    finding: 'warn reachable trim-pile',
    text: 'PILE is trimmed before any stitch holds it.'
  },
  {
    construction: 'border-patch',
    what: 'no placement line in the second hooping',
    mistake: gone('stop-4'),
    finding: 'stop registration lay-patch',
    text: 'The piece comes from another hooping, and no placement line is stitched for it in this one.'
  },
  {
    construction: 'border-patch',
    what: 'the border in the first hooping',
    mistake: moved('stop-5', 'stop-1'),
    finding: 'stop registration stop-5',
    text: 'Stop 5 belongs to another hooping than the one in the ring.'
  },
  {
    construction: 'border-patch',
    what: 'the patch not laid',
    mistake: gone('lay-patch'),
    finding: 'stop bare stop-5',
    text: 'Stop 5 would run on bare stabiliser: there is no cloth under it.'
  },
  {
    construction: 'batch-patch',
    what: 'a blank never edged',
    mistake: gone('stop-4'),
    finding: 'warn raw-edge unhoop',
    text: 'The cut edge of BLANK 1 is left raw: no edge is stitched over it.'
  },
  {
    construction: 'lace',
    what: 'tear-away in lace',
    mistake: kind('base', 'tear-away'),
    finding: 'stop stabiliser stop-1',
    text: 'WASH-AWAY stays in open work: lace and cutwork need a stabiliser that washes out.'
  },
  {
    construction: 'lace',
    what: 'one layer under lace',
    mistake: piece('base', { plies: 1 }),
    finding: 'warn stabiliser stop-1',
    text: 'One layer of wash-away is too light for lace.'
  },
  {
    construction: 'lace',
    answers: { width: 120, height: 90 },
    what: 'film under large lace',
    mistake: kind('base', 'wash-away-film'),
    finding: 'warn stabiliser stop-2',
    text: 'WASH-AWAY alone is too weak for lace as dense or large as this.'
  },
  {
    construction: 'lace',
    what: 'underlay without lace',
    mistake: gone('stop-2'),
    finding: 'warn underlay unhoop',
    text: 'Stop 1 is the underlay of a lace that never comes.'
  },
  {
    construction: 'mesh-lace',
    what: 'a hooping with nothing to stitch',
    mistake: gone('stop-2'),
    finding: 'warn caught unhoop-2',
    text: 'Nothing is stitched in this hooping.'
  },
  {
    construction: 'fused-applique',
    answers: { shape: 'tab' },
    what: 'film under a fused piece',
    mistake: both(
      (item) => ({
        ...item,
        pieces: [
          ...item.pieces,
          {
            ...item.pieces[0],
            id: 'film',
            name: 'FILM',
            use: 'applique',
            covers: 'first',
            material: { kind: 'wash-away-film', name: 'Film', colour: '#ffffff' }
          } as (typeof item.pieces)[number]
        ]
      }),
      added('stop-1', { do: 'topping-on', pieceId: 'film' })
    ),
    finding: 'stop film lay-first',
    text: 'FILM lies under FIRST PIECE and would never come out once that is fused.'
  },
  {
    construction: 'fused-applique',
    what: 'a shape cut a little small',
    mistake: piece('first', { overrides: { width: 44, height: 54 } }),
    finding: 'stop covering lay-first',
    text: 'FIRST PIECE does not cover the first piece all round.'
  },
  {
    construction: 'joined-applique',
    what: 'no seam at the join',
    mistake: gone('stop-5'),
    finding: 'warn impossible flip-right',
    text: 'No seam holds RIGHT PIECE, so there is nothing to flip it at.'
  },
  {
    construction: 'raised-piece',
    what: 'the pin left in',
    mistake: gone('unpin'),
    finding: 'stop pins stop-2',
    text: 'A pin in GROUND is less than 6 mm from the path of stop 2.'
  },
  {
    construction: 'raised-piece',
    what: 'petals not taped',
    mistake: op('lay-petals', { hold: { by: 'nothing' } }),
    finding: 'warn loose-edge stop-2',
    text: 'The foot can catch the loose edges of PETALS when stop 2 runs.'
  },
  {
    construction: 'raised-piece',
    what: 'hard parts left in',
    mistake: gone('hard-parts'),
    finding: 'warn hard-parts lay-petals',
    text: 'PETALS is laid without its hard parts taken out.'
  },
  {
    construction: 'cutwork',
    what: 'bars over cloth that is not cut',
    mistake: gone('cut-window'),
    finding: 'stop window stop-2',
    text: 'Stop 2 lays its bars on CLOTH, which is not cut yet.'
  },
  {
    construction: 'cutwork',
    answers: { school: 'cut-through' },
    what: 'a hole without a patch',
    mistake: gone('patch'),
    finding: 'stop holes stop-2',
    text: 'Stop 2 stitches over a hole, with nothing under the needle. The same holds for stop 3.'
  },
  {
    construction: 'cutwork',
    answers: { school: 'needles' },
    what: 'the chisel left in',
    mistake: gone('needle-back'),
    finding: 'stop needle stop-6',
    text: 'Stop 6 stitches with a cutting needle in. The same holds for stop 7.'
  },
  {
    construction: 'cutwork',
    answers: { school: 'needles' },
    what: 'one chisel for two angles',
    mistake: gone('needle-45'),
    finding: 'stop needle stop-3',
    text: 'Stop 3 cuts with the chisel of the cut before it.'
  },
  {
    construction: 'cutwork',
    answers: { school: 'needles' },
    what: 'no chisel at all',
    mistake: gone('needle-0'),
    finding: 'stop needle stop-2',
    text: 'Stop 2 cuts, but no cutting needle is in.'
  },
  {
    construction: 'cutwork-corner',
    what: 'the cloth laid otherwise the second time',
    mistake: op('align-2', { face: 'down' }),
    finding: 'stop faces align-2',
    text: 'CLOTH is laid the other way up here than before.',
    fix: 'Turn it'
  },
  {
    construction: 'snap-tab',
    what: 'no tack-down',
    mistake: gone('stop-2'),
    finding: 'warn untacked stop-3',
    text: 'FRONT is not tacked down yet when stop 3 runs.'
  },
  {
    construction: 'snap-tab',
    what: 'a backing that nothing catches',
    mistake: gone('stop-4'),
    finding: 'stop caught unhoop',
    text: 'No stitch has caught BACK since it was laid.'
  },
  {
    construction: 'snap-tab',
    what: 'the hoop still turned over',
    mistake: gone('turn-over-4'),
    finding: 'warn impossible stop-4',
    text: 'The hoop is still turned over when this stop runs.'
  },
  {
    construction: 'snap-tab',
    what: 'a front that is never laid',
    mistake: gone('lay-front'),
    finding: 'stop caught',
    text: 'FRONT should be seen in the end, but no step puts it in the hoop.'
  },
  {
    construction: 'snap-tab',
    answers: { width: 98, height: 90 },
    what: 'an outline larger than the field',
    mistake: (item) => ({
      ...item,
      lines: item.lines.map((line) => ({
        ...line,
        path: { ...line.path, points: line.path.points.map(([x, y]): [number, number] => [x * 1.1, y]) }
      }))
    }),
    finding: 'stop field stop-1',
    text: 'Stop 1 reaches outside the stitch field of Small hoop, 100 × 100 mm. The same holds for stop 2 and stop 4.'
  },
  {
    construction: 'snap-tab',
    what: 'no halt before hands on six needles',
    mistake: stop('stop-3', { halts: false }),
    finding: 'warn halts stop-3',
    text: 'Hands are needed after stop 3, but Right machine runs straight on.',
    fix: 'It halts',
    machineId: 'right'
  },
  {
    construction: 'snap-tab',
    what: 'nobody unhoops it',
    mistake: gone('unhoop'),
    finding: 'warn order hardware',
    text: 'The sheet ends with the work still in the hoop.',
    fix: 'Take it out at the end'
  }
];
