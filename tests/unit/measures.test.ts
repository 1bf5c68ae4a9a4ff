import { rectangleRegion, regionExtents } from '$lib/core/base/geometry';
import type { Finding } from '$lib/core/making/checks';
import { linesOfText } from '$lib/core/reading/pages';
import { stepsOf } from '$lib/core/reading/sheets/steps';
import { sizeIn, toMm } from '$lib/core/reading/sheets/measures';
import { piecesListed } from '$lib/core/reading/sheets/pieces';
import { segmentsOf } from '$lib/core/reading/sheets/segments';
import { tellsOf } from '$lib/core/reading/sheets/withoutVerb';
import { expect } from 'chai';
import fc from 'fast-check';
import { worstAt } from '../../src/routes/items/[id]/found';

describe('sizes as sheets write them', () => {
  const SIZES: [text: string, width: number, height: number][] = [
    ['220 x 260 mm', 220, 260],
    ['12 x 10 cm', 120, 100],
    ['4 1/2 x 5 in', 114.3, 127],
    ['4½" x 5"', 114.3, 127],
    ['4-3/8 by 2 inches', 111.13, 50.8],
    ['180 x 200', 180, 200],
    ['3,5 cm x 7 cm', 35, 70]
  ];
  for (const [text, widthMm, heightMm] of SIZES)
    it(`read ${text}`, () => {
      expect(sizeIn(`front, ${text}, cotton`)?.cut).to.deep.equal({ widthMm, heightMm });
    });
  it('are none where two small numbers have no unit', () => {
    expect(sizeIn('2 x 3 pieces')).to.equal(undefined);
  });
  it('come out in mm whatever the unit, metres and fractions too', () => {
    expect(toMm('1', 'm')).to.equal(1000);
    expect(toMm('3/4', 'in')).to.equal(19.05);
    expect(toMm('¼', '"')).to.equal(6.35);
  });
  it('are the same in mm and in cm', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 900 }), fc.integer({ min: 10, max: 900 }), (width, height) => {
        const [mm, cm] = [sizeIn(`${width} x ${height} mm`), sizeIn(`${width / 10} x ${height / 10} cm`)];
        expect(mm?.cut).to.deep.equal({ widthMm: width, heightMm: height });
        expect(cm?.cut).to.deep.equal(mm?.cut);
      })
    );
  });
});

describe('lists set in other ways', () => {
  const listed = (...lines: string[]): unknown[] =>
    piecesListed(linesOfText(lines)).map(({ name, count, cut }) => [
      name,
      count,
      cut?.widthMm,
      cut?.heightMm
    ]);
  it('with leaders, labels and shapes', () => {
    expect(listed('Front top ........ 8 x 3 in', 'inside: 1 piece 12 x 10 cm')).to.deep.equal([
      ['Front top', 1, 203.2, 76.2],
      ['inside', 1, 120, 100]
    ]);
    expect(listed('2 squares of wool felt 4 in')).to.deep.equal([['wool felt', 2, 101.6, 101.6]]);
  });
  it('leave out the thing itself, which stands above its list with its size', () => {
    expect(listed('Cap Badge, 3 inch round', 'twill circle 4"', 'felt circle 4"')).to.deep.equal([
      ['twill', 1, 101.6, 101.6],
      ['felt', 1, 101.6, 101.6]
    ]);
  });
});

describe('sentences that are parted', () => {
  const parts = (text: string): string[] =>
    segmentsOf(text, (part) => /^(?:the\s+)?(?:back|felt)\b/.test(part)).map((segment) => segment.text);
  it('where another piece is spoken of', () => {
    expect(parts('Turn the hoop over, then the back goes right side up on top and tape it.')).to.deep.equal([
      'Turn the hoop over',
      'the back goes right side up on top',
      'tape it'
    ]);
    expect(tellsOf('the felt is hooped')).to.equal(true);
    expect(tellsOf('the felt, right side up')).to.equal(false);
  });
  it('and not at a noun that looks like a verb, nor within what goes on', () => {
    expect(parts('Lay it along the top, fold towards the middle.')).to.have.length(1);
    expect(parts('Run all four stops one after another.')).to.have.length(1);
    expect(parts('Cover the line with it, taping it at each corner.')).to.deep.equal([
      'Cover the line with it',
      'tape it at each corner'
    ]);
  });
});

describe('tables of steps', () => {
  it('may be counted by the stops themselves, without bars at their ends', () => {
    const steps = stepsOf(
      linesOfText([
        'Stop | What happens | What you do',
        '0 | | Hoop tear-away.',
        '1 | outline | Lay the vinyl over it.',
        '2 | tack | nothing',
        '  | | Slide the hoop out.'
      ])
    );
    expect(steps.map(({ parts }) => parts.map(({ text }) => text))).to.deep.equal([
      ['Hoop tear-away.'],
      ['Stop 1: outline', 'Lay the vinyl over it.'],
      ['Stop 2: tack', 'nothing', 'Slide the hoop out.']
    ]);
  });
});

describe('a box round regions', () => {
  it('holds them all, and is none where there are none', () => {
    const box = regionExtents([rectangleRegion([0, 0], 30, 94), rectangleRegion([40, 0], 20, 10)]);
    expect([box?.minX, box?.maxX, box?.height]).to.deep.equal([-15, 50, 94]);
    expect(regionExtents([])).to.equal(undefined);
  });
});

describe('what was found at the steps', () => {
  it('is the worst of each; notes, and what belongs to no step, are left out', () => {
    const steps = [
      { id: 'a', itemStepId: 'lay' },
      { id: 'b', itemStepId: 'stop' },
      { id: 'c', itemStepId: null }
    ] as Parameters<typeof worstAt>[0]['steps'];
    const found = (severity: Finding['severity'], stepId: string | null, text: string): Finding =>
      ({ severity, stepId, text }) as Finding;
    const worst = worstAt({ steps, warnings: [] }, [
      found('warn', 'lay', 'small'),
      found('stop', 'lay', 'wrong side'),
      found('warn', 'lay', 'loose'),
      found('note', 'stop', 'by the way'),
      found('stop', null, 'no stabiliser')
    ]);
    expect([...worst]).to.deep.equal([['a', { severity: 'stop', text: 'wrong side' }]]);
  });
});
