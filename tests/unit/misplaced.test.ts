import { expect } from 'chai';
import { review } from '$lib/core/making/checks';
import { blocksOf, composed, itemOf } from './support/blocks';
import { roomyShop } from './support/ends';

const START = ['hooping', { ground: 'hooped', stabiliser: 'cutaway' }] as [string, Record<string, unknown>];
type Said = Parameters<typeof blocksOf>[number];

function codes(...blocks: Said[]): string[] {
  const item = itemOf(
    composed(blocksOf(START, ...blocks), 'own', { shape: 'rectangle', width: 160, height: 160 })
  );
  return review(item, undefined, roomyShop).checked.open.flatMap(({ code, severity }) =>
    severity === 'note' ? [] : [code]
  );
}

const tie = (answers: Record<string, unknown>): Said => [
  'caught',
  { what: 'ribbon', side: 'left', ...answers }
];
const piece = (answers: Record<string, unknown>): Said => [
  'piece',
  { extent: 'shape', shape: 'rectangle', top: 'stitched', ...answers }
];

describe('parts that lie where they must not', () => {
  it('an end in the opening is caught by nothing; beside it all is well', () => {
    const back: Said = ['back-turned', { at: 'left', opening: 80 }];
    expect(codes(tie({ along: 0 }), back, 'finishing')).to.include('caught/in-opening');
    // The opening reaches 40 from the middle of its side.
    expect(codes(tie({ along: 60 }), back, 'finishing')).to.deep.equal([]);
  });
  it('an end that reaches the seam opposite is caught there too; rolled up it is not', () => {
    const item = itemOf(
      composed(blocksOf(START, tie({ reach: 120, along: 40 }), 'back-turned', 'finishing'), 'own', {
        shape: 'rectangle',
        width: 160,
        height: 160
      })
    );
    const said = (): string[] => review(item, undefined, roomyShop).checked.open.map(({ code }) => code);
    expect(said()).to.not.include('caught/loose-end');
    // Laid out by 170 instead it lies over the seam at the right.
    const place = item.lines.find(({ name }) => name === 'Place of the ribbon');
    if (!place) throw new Error('The ribbon has no place.');
    place.path.points = place.path.points.map(([x, y]) => [x > -80 ? 90 : x, y]);
    expect(said()).to.include('caught/loose-end');
  });
  it('stitching over what should hang free holds it down', () => {
    const over: Said = [
      'own-stop',
      { role: 'topstitch', shape: 'rectangle', width: 40, height: 40, across: -35, stitches: 60 }
    ];
    expect(codes(tie({ reach: 60 }), over, ['back-turned', { at: 'right' }], 'finishing')).to.include(
      'caught/loose-end'
    );
  });
  it('a design that cloth laid later hides, and one beside it', () => {
    const design: Said = ['details', { where: 'middle' }];
    const cover = piece({ width: 70, height: 70, right: 'stitched', bottom: 'stitched', left: 'stitched' });
    expect(codes(design, cover, ['back-turned', { at: 'bottom' }], 'finishing')).to.include('covered/later');
    expect(codes(cover, design, ['back-turned', { at: 'bottom' }], 'finishing')).to.not.include(
      'covered/later'
    );
  });
  it('a name across the edge of the item, and one inside it', () => {
    const named = (down: number): string[] =>
      codes(['name', { width: 60, height: 20, down }], ['back-turned', { at: 'bottom' }], 'finishing');
    // Half of 160 is 80: from 65 to 85 it crosses the seam, from 50 to 70 it does not.
    expect(named(75)).to.include('covering/off-outline');
    expect(named(60)).to.deep.equal([]);
  });
  it('lace parts that lie on each other in one hoop', () => {
    const parts = (across: number): string[] => {
      const made = composed(
        blocksOf(
          ['hooping', { stabiliser: 'wash-away', layers: 2 }],
          ['lace-part', { width: 40, height: 40 }],
          ['lace-part', { width: 40, height: 40, across }],
          'finishing'
        )
      );
      return review(itemOf(made), undefined, roomyShop).checked.open.map(({ code }) => code);
    };
    expect(parts(30)).to.include('covering/overlap');
    expect(parts(44)).to.not.include('covering/overlap');
  });
});
