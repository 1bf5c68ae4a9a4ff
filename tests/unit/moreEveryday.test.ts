import { expect } from 'chai';
import { blocksOf, composed, itemOf, saidOf } from './support/blocks';
import { endOf } from './support/ends';

type Said = Parameters<typeof blocksOf>[number];
const CLOTH: Said = ['hooping', { ground: 'hooped', stabiliser: 'cutaway' }];
const FELT = { kind: 'felt', name: 'Felt', colour: '#6d1f31' };
const ITEMS: Record<string, [outline: Record<string, unknown>, blocks: Said[]]> = {
  'a cushion with a ruffle all round': [
    { shape: 'rectangle', width: 160, height: 160 },
    [
      CLOTH,
      'details',
      ...['top', 'right', 'bottom', 'left'].map((s): Said => [
        'piece',
        {
          basted: 'yes',
          side: s,
          much: 40,
          lies: 'down',
          form: 'gathered',
          top: 'open',
          right: 'open',
          bottom: 'open',
          left: 'open',
          [s]: 'seam'
        },
        `Ruffle ${s}`
      ]),
      ['back-turned', { at: 'bottom' }],
      'finishing',
      ['sew-up', { how: 'stuff', parts: 'the cushion' }]
    ]
  ],
  'a bib with two ties': [
    { shape: 'bib', width: 180, height: 220 },
    [
      CLOTH,
      ['details', { where: 'lower' }],
      ['caught', { what: 'tie', side: 'top', along: -70, width: 12, reach: 300 }, 'Left tie'],
      ['caught', { what: 'tie', side: 'top', along: 70, width: 12, reach: 300 }, 'Right tie'],
      ['back-turned', { at: 'bottom' }],
      'finishing'
    ]
  ],
  'a pot holder with a hand pocket': [
    { shape: 'rounded', width: 170, height: 170 },
    [
      ['hooping', { stabiliser: 'cutaway' }],
      'batting',
      'front',
      'quilting',
      ['piece', { side: 'bottom', much: 100, form: 'folded', openEdge: 'fold' }, 'Hand pocket'],
      ['back-under', { cloth: { kind: 'woven', name: 'Cream', colour: '#efe3c4' } }],
      'edge-satin',
      'finishing'
    ]
  ],
  'a bunting with a casing': [
    { shape: 'triangle', width: 150, height: 180 },
    [
      CLOTH,
      'details',
      [
        'piece',
        {
          side: 'bottom',
          much: 30,
          form: 'folded',
          openEdge: 'fold',
          bottom: 'seam',
          top: 'open',
          left: 'open',
          right: 'open'
        },
        'Casing'
      ],
      ['back-turned', { at: 'left', from: -60 }],
      'finishing'
    ]
  ],
  'a star of five rays in one hoop': [
    { width: 60, height: 60 },
    [
      ['parts-set', { parts: 5, together: 5, width: 30, height: 60, shape: 'shield' }, 'Ray'],
      ['rinse-all', { loops: 5 }]
    ]
  ],
  'a mat with a pocket at its side, edged in satin': [
    { shape: 'rounded', width: 160, height: 120 },
    [
      ['hooping', { stabiliser: 'cutaway' }],
      'front',
      'details',
      [
        'piece',
        { side: 'right', much: 50, left: 'open', top: 'seam', bottom: 'seam', right: 'seam' },
        'Pocket'
      ],
      ['back-under', { cloth: { kind: 'woven', name: 'Cream', colour: '#efe3c4' } }],
      'edge-satin',
      'finishing'
    ]
  ],
  'a felt wallet, its pocket raw': [
    { shape: 'rounded', width: 100, height: 140 },
    [
      ['hooping', {}],
      ['front', { cloth: { kind: 'felt', name: 'Moss', colour: '#667755' } }],
      [
        'piece',
        {
          side: 'bottom',
          much: 60,
          openEdge: 'raw',
          cloth: { kind: 'felt', name: 'Moss', colour: '#667755' }
        },
        'Card pocket'
      ],
      ['back-under', {}],
      'edge-cut',
      ['finishing', {}],
      'hardware'
    ]
  ],
  'a cover with an elastic band from side to side': [
    { shape: 'rounded', width: 140, height: 200 },
    [
      CLOTH,
      ['details', { where: 'lower-left' }],
      ['caught', { what: 'elastic', side: 'left', along: -60, width: 15, other: 'opposite' }, 'Band'],
      ['back-turned', { at: 'bottom' }],
      'finishing'
    ]
  ],
  'a pyramid of four faces': [
    { shape: 'triangle', width: 90, height: 78 },
    [
      ...[1, 2, 3, 4].flatMap((n): Said[] => [
        CLOTH,
        ['details', {}, `Face ${n}`],
        ['finishing', { then: 'sewn-up', seam: 6 }]
      ]),
      ['sew-up', { how: 'join', parts: 'face 1, face 2, face 3', long: 270, seam: 6 }],
      ['sew-up', { how: 'join', parts: 'the sides, face 4', long: 270, seam: 6, open: 60 }],
      ['sew-up', { how: 'turn', parts: 'the pyramid' }],
      ['sew-up', { how: 'stuff', parts: 'the pyramid' }],
      ['sew-up', { how: 'close', parts: 'the pyramid', by: 'hand', long: 60 }]
    ]
  ],
  'a hanging of four strips with a loop': [
    { shape: 'rectangle', width: 180, height: 180 },
    [
      ['hooping', {}],
      'batting',
      ['strips', { strips: 4 }],
      'quilting',
      ['caught', { what: 'loop', side: 'top', reach: 150 }],
      ['back-turned', { at: 'bottom' }],
      'finishing'
    ]
  ],
  'a front with a lining of its own': [
    { shape: 'rounded', width: 140, height: 180 },
    [
      CLOTH,
      'details',
      [
        'piece',
        {
          extent: 'whole',
          lies: 'below-out',
          shows: 'lining',
          cloth: { kind: 'woven', name: 'Cream', colour: '#efe3c4' }
        },
        'Lining'
      ],
      ['back-turned', { at: 'bottom' }],
      'finishing'
    ]
  ]
};

describe('more everyday items of blocks', () => {
  for (const [name, [outline, blocks]] of Object.entries(ITEMS))
    it(`${name} comes out as it should`, () => {
      const made = composed(blocksOf(...blocks), 'own', outline);
      expect(made.troubles).to.deep.equal([]);
      const item = itemOf(made);
      expect(saidOf(item)).to.deep.equal([]);
      // Nothing that is meant to be seen in front shows its wrong side there.
      const meant = item.pieces.flatMap(({ name: piece, shows }) =>
        shows === 'front' ? `${piece} wrong` : []
      );
      expect(endOf(item).front.filter((shown) => meant.includes(shown))).to.deep.equal([]);
    });
});

describe('pieces under one placement line', () => {
  for (const method of ['trim', 'pre-cut', 'laid'])
    for (const edge of ['satin', 'blanket', 'later', 'raw'])
      for (const trims of method === 'trim' ? ['machine', 'table'] : ['machine'])
        it(`come out ${method}, ${edge}, ${trims}: laid in one trip, the hoop on wherever it stitches`, () => {
          const made = composed(
            blocksOf(
              CLOTH,
              [
                'pieces',
                {
                  method,
                  edge,
                  trims,
                  pieces: 3,
                  apart: 36,
                  width: 30,
                  height: 30,
                  first: FELT,
                  second: FELT
                }
              ],
              ...(edge === 'later' ? ['later-edges'] : []),
              'finishing'
            )
          );
          expect(made.troubles).to.deep.equal([]);
          expect(saidOf(itemOf(made))).to.deep.equal([]);
          const does = made.pattern.entries.map((entry) => (entry.kind === 'hand' ? entry.op.do : 'stitch'));
          const off = does.filter((each) => each === 'hoop-off').length;
          // Off once for what is fused, once for each that is trimmed on the table, and once in the end.
          expect(off).to.equal(1 + (method === 'pre-cut' ? 1 : 0) + (trims === 'table' ? 3 : 0));
        });
});
