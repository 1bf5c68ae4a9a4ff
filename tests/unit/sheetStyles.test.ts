import { defaultShop } from '$lib/core/documents/shop';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { interpret, likeConstruction } from '$lib/core/making/interpret';
import { linesOfText } from '$lib/core/reading/pages';
import { readSheet } from '$lib/core/reading/sheets';
import { writtenSheets } from '../bench/support/sheetTruths';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';

/** What a sheet comes to: its pieces with counts and cuts in mm, how many stops, and what one sees in the end. */
interface Truth {
  pieces: string[];
  stops: number;
  front: string[];
  back: string[];
}

/** Worked by hand: every house writes its sheets in its own way. */
const TRUTHS: Record<string, Truth> = {
  'signal-lamp-coin-pocket': {
    pieces: ['outside 120 x 100', 'flap 120 x 80', 'inside 120 x 100', 'fusible fleece 110 x 90'],
    stops: 5,
    front: ['FLAP', 'OUTSIDE'],
    back: ['INSIDE']
  },
  'winter-timetable-ornament': {
    pieces: ['2 wool felt 114.3 x 114.3', 'narrow ribbon 152.4'],
    stops: 6,
    front: ['WOOL FELT'],
    back: ['WOOL FELT 2']
  },
  'ticket-punch-key-fob': { pieces: [], stops: 4, front: ['VINYL'], back: ['SECOND VINYL'] },
  'station-cat-tissue-cover': {
    pieces: ['A 170 x 140', 'B 170 x 120', 'C 170 x 120'],
    stops: 8,
    front: ['A'],
    back: ['B', 'C']
  },
  'porters-pennant': {
    pieces: ['front fabric 180 x 220', 'back fabric 180 x 220', 'casing strip 180 x 60', 'bias binding 1000'],
    stops: 5,
    front: ['CASING STRIP', 'FRONT FABRIC'],
    back: ['BACK FABRIC']
  },
  'freight-wagon-pot-mat': {
    pieces: [
      'top cotton 220 x 220',
      'backing cotton 220 x 220',
      '2 heat-resistant batting 210 x 210',
      'loop 120'
    ],
    stops: 5,
    front: ['TOP COTTON'],
    back: ['BACKING COTTON', 'LOOP']
  },
  'luggage-rack-eyeglass-sleeve': {
    pieces: [
      '2 Outer fabric 114.3 x 203.2',
      '2 Lining fabric 114.3 x 203.2',
      '2 Fusible fleece 101.6 x 190.5'
    ],
    stops: 8,
    front: ['OUTER FABRIC'],
    back: ['OUTER FABRIC 2']
  },
  'stationmasters-bow-tie': {
    pieces: ['silk 220 x 90', 'lining 220 x 90'],
    stops: 4,
    front: ['SILK'],
    back: ['LINING']
  },
  'coal-bunker-bookmark': {
    pieces: ['2 Felt 60 x 180', '2 Water soluble film 200 x 250'],
    stops: 6,
    front: ['FELT'],
    back: ['FELT 2']
  },
  'engine-drivers-cap-badge': {
    pieces: ['twill 101.6 x 101.6', 'felt 101.6 x 101.6', 'heat-and-bond 101.6 x 101.6'],
    stops: 4,
    front: ['TWILL'],
    back: ['FELT']
  },
  'platelayers-apron-pocket-patch': {
    pieces: ['A 210 x 190', 'B 210 x 190', 'C 210 x 60'],
    stops: 7,
    front: ['A', 'C'],
    back: ['B']
  },
  'semaphore-arm-garland-flags': {
    pieces: ['felt red 127 x 127', 'felt white 127 x 127'],
    stops: 4,
    front: ['FELT RED'],
    back: ['FELT WHITE']
  },
  'ash-pan-lace-star': { pieces: [], stops: 4, front: [], back: [] },
  'linemans-phone-stand': {
    pieces: ['2 cotton 200 x 200', 'vinyl for the ledge 200 x 50'],
    stops: 5,
    front: ['COTTON', 'VINYL FOR THE LEDGE'],
    back: ['COTTON 2']
  },
  'goods-shed-coaster': {
    pieces: ['Cotton A 139.7 x 139.7', 'Cotton B 139.7 x 139.7', 'Batting 127 x 127'],
    stops: 5,
    front: ['COTTON A'],
    back: ['COTTON B']
  },
  'water-tank-zip-purse': {
    pieces: [
      'zipper 203.2',
      '2 front fabric 177.8 x 76.2',
      '2 lining fabric 177.8 x 76.2',
      'back fabric 177.8 x 152.4',
      'back lining 177.8 x 152.4'
    ],
    stops: 8,
    front: ['FRONT FABRIC', 'FRONT FABRIC 2', 'ZIPPER'],
    back: ['BACK FABRIC']
  },
  'brake-van-luggage-tag': {
    pieces: ['marine vinyl front 100 x 150', 'marine vinyl back 100 x 150', 'clear vinyl window 60 x 40'],
    stops: 6,
    front: ['CLEAR VINYL WINDOW', 'MARINE VINYL FRONT'],
    back: ['MARINE VINYL BACK']
  },
  'engine-shed-key-wallet': {
    pieces: ['outer 140 x 220', 'inner 140 x 220', 'pocket 140 x 160'],
    stops: 5,
    front: ['OUTER', 'POCKET'],
    back: ['INNER']
  },
  'lamp-room-lace-snowflake': { pieces: [], stops: 3, front: [], back: [] },
  'crossing-gate-baby-bib': {
    pieces: ['terry cloth for the back 228.6 x 279.4', 'Front 228.6 x 279.4'],
    stops: 6,
    front: ['FRONT'],
    back: ['TERRY CLOTH FOR THE BACK']
  },
  'gangers-felt-needle-case': {
    pieces: ['Felt cover 150 x 200', 'Felt inside 150 x 200', '2 Felt pages 100 x 140'],
    stops: 6,
    front: ['FELT COVER', 'FELT PAGES'],
    back: ['FELT INSIDE']
  },
  'tunnel-key-fob': {
    pieces: ['2 Embroidery vinyl 76.2 x 152.4'],
    stops: 5,
    front: ['EMBROIDERY VINYL'],
    back: ['EMBROIDERY VINYL 2']
  },
  'turntable-trivet': {
    pieces: ['T 220 x 220', 'B 220 x 220', 'insulated batting 220 x 220', 'loop tape 100'],
    stops: 6,
    front: ['T'],
    back: ['B', 'LOOP TAPE']
  },
  'lost-property-envelope-pillow': {
    pieces: ['front 220 x 220', 'back 1 220 x 280', 'back 2 220 x 280'],
    stops: 7,
    front: ['FRONT'],
    back: ['BACK 1', 'BACK 2']
  },
  'station-clock-lace-earrings': { pieces: [], stops: 3, front: [], back: [] }
};

describe('sheets in the ways houses write them', () => {
  for (const [name, truth] of Object.entries(TRUTHS))
    it(`${name} ends as it should`, () => {
      const text = readFileSync(new URL(`../papers/styles/${name}.txt`, import.meta.url), 'utf8');
      const { sheet, rows, facts, title } = readChart(text);
      if (!sheet) throw new Error('This was read as no sheet.');
      const listed = sheet.pieces.flatMap(({ name: piece, count, cut }) => {
        if (cut === null) return [];
        const size = cut.heightMm === null ? `${cut.widthMm}` : `${cut.widthMm} x ${cut.heightMm}`;
        return [`${count > 1 ? `${count} ` : ''}${piece} ${size}`];
      });
      expect(listed).to.deep.equal(truth.pieces);
      expect(sheet.stops.map(({ n }) => n)).to.deep.equal(
        Array.from({ length: truth.stops }, (_, at) => at + 1)
      );
      const made = interpret(
        {
          id: 'x',
          name: title ?? name,
          now: '2026-11-27T10:00:00.000Z',
          sheet,
          rows,
          size: facts.size,
          text
        },
        defaultShop('styles')
      );
      const seen = (side: 'front' | 'back'): string[] => made.ends[side].map(({ piece }) => piece).sort();
      expect(seen('front')).to.deep.equal(truth.front);
      expect(seen('back')).to.deep.equal(truth.back);
      // Nothing ends with its wrong side out.
      for (const side of ['front', 'back'] as const)
        expect(made.ends[side].filter(({ rightSide }) => !rightSide)).to.deep.equal([]);
    });
});

describe('a sheet of what is a construction already', () => {
  const likeOf = (kind: string): string | undefined => {
    const written = writtenSheets(11).find((each) => each.kind === kind);
    if (!written) throw new Error(`No sheet of a ${kind}.`);
    const { item, text } = written;
    const sheet = readSheet(linesOfText(text.split('\n')), item.name);
    const made = interpret(
      {
        id: 'x',
        name: item.name,
        now: item.createdAt,
        sheet,
        rows: [],
        size: item.variants[0]?.size ?? null,
        text
      },
      defaultShop('like')
    );
    return likeConstruction(made.item, CONSTRUCTIONS)?.kind;
  };
  it('is told by what its steps do in the hoop, not by its words', () => {
    for (const kind of ['zip-pouch', 'topper', 'snap-tab', 'layered-mat'])
      expect(likeOf(kind), kind).to.equal(kind);
  });
  it('is like none where its steps are its own', () => {
    const text = readFileSync(new URL('../papers/styles/linemans-phone-stand.txt', import.meta.url), 'utf8');
    const { sheet, facts } = readChart(text);
    if (!sheet) throw new Error('This was read as no sheet.');
    const made = interpret(
      { id: 'x', name: 'stand', now: '2026-11-27T10:00:00.000Z', sheet, rows: [], size: facts.size, text },
      defaultShop('like')
    );
    expect(likeConstruction(made.item, CONSTRUCTIONS)).to.equal(undefined);
  });
});
