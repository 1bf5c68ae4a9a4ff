import type { Operation } from '$lib/core/documents/item';
import { linesFor, outlineSize } from '$lib/core/making/interpret/lines';
import { materialOf } from '$lib/core/making/interpret/matter';
import { together, withMoves } from '$lib/core/making/interpret/moves';
import { threadName } from '$lib/core/making/interpret/operations';
import { Pieces } from '$lib/core/making/interpret/placing';
import { spotsOf } from '$lib/core/making/interpret/spots';
import { foldOf, hangs, isSprayed } from '$lib/core/making/interpret/ways';
import { numberSaid, numberWord } from '$lib/core/base/units';
import { extents } from '$lib/core/base/geometry';
import { withRoles } from '$lib/core/reading/papers/roles';
import { expect } from 'chai';
import { did, HOOP, sheetOf, type Step, stepsFrom } from './support/drafts';

const trim = (id: string): Operation => ({
  do: 'trim',
  pieceIds: [id],
  lineId: 'outline',
  side: 'outside',
  margin: 2,
  keepIds: []
});

describe('what no sheet says', () => {
  it('is the hoop on before a stop, off before it is turned, and turned back before the next stop', () => {
    const steps = stepsFrom(HOOP, { stop: 'one' }, { do: 'turn-over' }, { stop: 'two' }, { do: 'unhoop' });
    expect(did(withMoves(steps))).to.deep.equal([
      'hoop',
      '+hoop-on',
      'one',
      '+hoop-off',
      'turn-over',
      '+turn-over',
      '+hoop-on',
      'two',
      '+hoop-off',
      'unhoop'
    ]);
  });
  it('is the hoop off before a trim, and the work out before it is torn, cut out or turned', () => {
    expect(
      did(withMoves(stepsFrom(HOOP, { stop: 'one' }, trim('front'), { do: 'tear-away' })))
    ).to.deep.equal(['hoop', '+hoop-on', 'one', '+hoop-off', 'trim', '+unhoop', 'tear-away']);
  });
  it('is the tape off a piece before it is flipped, and off no other', () => {
    const flip: Operation = { do: 'flip', pieceId: 'front', lineId: 'seam' };
    const tape = (pieceId: string): Operation => ({ do: 'tape', pieceId, strips: 4 });
    expect(did(withMoves(stepsFrom(HOOP, tape('front'), flip))).slice(-2)).to.deep.equal(['+untape', 'flip']);
    expect(did(withMoves(stepsFrom(HOOP, tape('back'), flip))).slice(-2)).to.deep.equal(['tape', 'flip']);
  });
  it('what is so already is not done again', () => {
    const steps = stepsFrom(
      HOOP,
      { do: 'hoop-on' },
      { do: 'hoop-on' },
      { stop: 'one' },
      { do: 'hoop-off' },
      { do: 'hoop-off' }
    );
    expect(did(withMoves(steps))).to.deep.equal(['hoop', 'hoop-on', 'one', 'hoop-off']);
  });
});

describe('what one sentence does together', () => {
  it('hoops and trims in one step, and is not said twice', () => {
    const one = (...ops: Operation[]): Step[] => stepsFrom(...ops).map((step) => ({ ...step, sentence: 1 }));
    const hooped = together(one(HOOP, { ...HOOP, pieceIds: ['ground'] }));
    expect(hooped.map(({ op }) => 'do' in op && op.do === 'hoop' && op.pieceIds)).to.deep.equal([
      ['tear-away', 'ground']
    ]);
    const trimmed = together(one(trim('front'), trim('batting')));
    expect(trimmed.map(({ op }) => 'do' in op && op.do === 'trim' && op.pieceIds)).to.deep.equal([
      ['front', 'batting']
    ]);
    const press: Operation = { do: 'other', title: 'Press both folds', seconds: 30 };
    expect(together(one(press, press))).to.have.length(1);
    expect(together(stepsFrom(trim('front'), trim('batting'))), 'two sentences are two steps').to.have.length(
      2
    );
  });
});

describe('lines that only a sheet tells of', () => {
  const NEEDLE_BOOK = [
    '1 A (felt), 190 x 130 mm',
    '1 B (felt), 190 x 130 mm',
    '',
    '1. Hoop the tear-away.',
    '2. Lay A on it.',
    '3. Sew stop 1.',
    '4. Lay B on top.'
  ];
  it('have the stated size, or one that every cloth covers', () => {
    const sheet = sheetOf(...NEEDLE_BOOK);
    // 24 mm less than the cut, both ways.
    expect(outlineSize(sheet, null)).to.deep.equal({ width: 166, height: 106 });
    expect(outlineSize(sheet, { width: 160, height: 100 })).to.deep.equal({ width: 160, height: 100 });
    expect(outlineSize(sheet, { width: 82, height: 105 }), 'closed, it is half as wide').to.deep.equal({
      width: 166,
      height: 106
    });
    expect(outlineSize({ pieces: [], actions: [] }, null)).to.deep.equal({ width: 100, height: 100 });
  });
  it('leave an opening in the closing seam where the work is turned through one', () => {
    const gaps = (closing: { opens: boolean }): number =>
      linesFor({ width: 100, height: 100 }, [], closing, 'h').find(({ id }) => id === 'closing')?.gaps
        .length ?? 0;
    expect([gaps({ opens: true }), gaps({ opens: false })]).to.deep.equal([1, 0]);
    const [outline] = linesFor({ width: 100, height: 80 }, [], null, 'h');
    expect(outline && extents(outline.path)).to.include({ width: 100, height: 80 });
  });
});

describe('how pieces of a sheet lie', () => {
  it('small ones side by side on places of their own', () => {
    const sheet = sheetOf(
      '1 heart (felt), 40 x 40 mm',
      '1 star (felt), 40 x 46 mm',
      '',
      '1. Hoop the tear-away.',
      '2. Sew stop 1.',
      '3. Lay the heart on it.',
      '4. Lay the star beside it.'
    );
    // 16 mm less than the cut; the outline’s width is shared out.
    expect(
      spotsOf(sheet, { width: 120, height: 80 }, () => false).map(({ piece, x, width, height }) => [
        piece,
        x,
        width,
        height
      ])
    ).to.deep.equal([
      ['heart', -30, 24, 24],
      ['star', 30, 24, 30]
    ]);
  });
  it('parts along the seam they are flipped at, on its other side first', () => {
    const sheet = sheetOf(
      '1 lower (cotton), 130 x 80 mm',
      '1 upper (cotton), 130 x 90 mm',
      '',
      '1. Hoop the tear-away.',
      '2. Sew stop 1.',
      '3. Lay the lower right side up.',
      '4. Lay the upper face down on top.',
      '5. Sew stop 2.',
      '6. Flip the upper up.',
      '7. Sew stop 3.'
    );
    const pieces = new Pieces(sheet, { width: 100, height: 120 });
    expect(pieces.seamBefore(2)).to.equal('seam-2');
    expect(pieces.placing('upper').edge).to.include({ lineId: 'seam-2', body: 'down' });
    expect(pieces.flipped('upper')).to.include({ lineId: 'seam-2' });
  });
  it('folded in half at half their height, hanging where they are far larger, held by spray where that was said', () => {
    const sheet = sheetOf(
      '1 B (cotton), 130 x 210 mm',
      '1 towel (towelling), 400 x 600 mm',
      '',
      '1. Fold B in half.',
      '2. Hoop the tear-away.',
      '3. Sew stop 1.',
      '4. Spray B and lay it on top.',
      '5. Lay the towel behind it.'
    );
    const [b] = sheet.pieces;
    expect(b && foldOf(sheet, b)).to.deep.equal({ width: 130, height: 105 });
    const size = { width: 100, height: 120 };
    expect([hangs(sheet, size, 'towel'), hangs(sheet, size, 'B')]).to.deep.equal([true, false]);
    const laid = sheet.actions.findIndex(({ action, piece }) => action === 'lay' && piece === 'B');
    expect(isSprayed(sheet, laid)).to.equal(true);
  });
});

describe('words of sheets', () => {
  it('say materials', () => {
    const kind = (name: string, material: string | null = null): string =>
      materialOf({ name, material, count: 1, cut: null, printed: null, role: null, words: [], line: null }, 0)
        .kind;
    expect(
      ['soft tear-away', 'wash-away film', 'wash-away mesh', 'nylon zipper', 'A'].map((name) => kind(name))
    ).to.deep.equal(['tear-away', 'wash-away-film', 'wash-away-mesh', 'zip', 'woven']);
    expect(kind('A', 'felt, outer cover')).to.equal('felt');
    expect(kind('front', 'cotton, interfaced')).to.equal('woven');
  });
  it('say colours of thread, each of several in its turn', () => {
    expect(threadName('Change to amber for stop 3')).to.equal('amber');
    expect([0, 1, 2].map((nth) => threadName('three stops in red, green and brass', nth))).to.deep.equal([
      'red',
      'green',
      'brass'
    ]);
  });
  it('say numbers', () => {
    expect([numberSaid('Three'), numberSaid('14'), numberSaid('none'), numberSaid('red')]).to.deep.equal([
      3,
      14,
      undefined,
      undefined
    ]);
    expect([numberWord(0), numberWord(12), numberWord(13)]).to.deep.equal(['none', 'twelve', '13']);
  });
});

describe('roles from the whole list', () => {
  const roles = (title: string | null, ...rows: [name: string, stitches: number][]): string[] =>
    withRoles(
      rows.map(([name, stitches], at) => ({
        line: at + 1,
        number: at + 1,
        name,
        colour: '',
        stitches,
        threadMetres: null
      })),
      title
    ).map(({ role }) => role);
  it('an edge before the closing seam closes a shape on the item', () => {
    expect(roles(null, ['placement', 120], ['edge', 900], ['closing seam', 300])).to.deep.equal([
      'placement',
      'applique-edge',
      'closing-seam'
    ]);
    expect(roles(null, ['placement', 120], ['edge', 900])).to.deep.equal(['placement', 'satin-edge']);
  });
  it('buttons of hundreds of stitches are drawn, and what a chart of lace draws is lace', () => {
    expect(roles(null, ['Coat buttons', 420])).to.deep.equal(['decoration']);
    expect(roles('Fern bookmark, lace', ['Fern stalk', 900])).to.deep.equal(['lace']);
    expect(
      roles('Fern bookmark, lace', ['placement', 90], ['Fern stalk', 900])[1],
      'nothing is placed on lace'
    ).to.equal('decoration');
  });
});
