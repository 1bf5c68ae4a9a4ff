import { expect } from 'chai';
import { linesOfText } from '$lib/core/reading/pages';
import { readSheet, type SheetReading } from '$lib/core/reading/sheets';
import { entriesOf } from '$lib/core/reading/sheets/entries';
import { hooping } from '$lib/core/reading/sheets/hooping';
import { sizeIn } from '$lib/core/reading/sheets/measures';
import { againAs, repeatsOf } from '$lib/core/reading/sheets/repeats';
import { stopsSaid } from '$lib/core/reading/sheets/stopsSaid';
import { ownSize } from '$lib/core/making/interpret/ownSize';
import { useOf } from '$lib/core/making/interpret/uses';
import { zippedIn } from '$lib/core/making/interpret/zipped';

const read = (...lines: string[]): SheetReading => readSheet(linesOfText(lines));
/** What the sentences ask for, in a word each with its piece. */
const asked = ({ actions }: SheetReading): string[] =>
  actions.map(({ after, action, piece }) => `${after} ${action}${piece === null ? '' : ` ${piece}`}`);
const sentence = (text: string) => ({ index: 0, step: 0, text, lines: [1] });

describe('what is done again', () => {
  it('is told by the numbers of steps, or as the same at another side', () => {
    expect(repeatsOf('Repeat steps 5 to 7 for the bottom.')).to.deep.equal({ steps: [5, 7] });
    expect(repeatsOf('Then repeat step 4.')).to.deep.equal({ steps: [4, 4] });
    expect(repeatsOf('Do the same at the lower side of the zipper.')).to.deep.equal({
      side: 'the lower side of the zipper'
    });
    expect(repeatsOf('Repeat for the other end.')).to.deep.equal({ side: 'the other end' });
  });

  it('is none where another piece is meant, or nothing', () => {
    expect(repeatsOf('Do the same with C.')).to.equal(undefined);
    expect(repeatsOf('Trim the same way as before.')).to.equal(undefined);
    expect(repeatsOf('Lay the back at the lower side.')).to.equal(undefined);
  });

  it('is read with stops that run on, and above as below', () => {
    expect(againAs(sentence('Stitch stop 3 at the upper edge.'), 9).text).to.equal(
      'Stitch the next stop at the lower edge.'
    );
    expect(againAs(sentence('#4 Upper topstitch.'), 9).text).to.equal('The next stop, lower topstitch.');
    expect(againAs(sentence('Stitch (3), then sew 4.'), 9).text).to.equal(
      'Stitch (the next stop), then sew the next stop.'
    );
    expect(againAs(sentence('Topstitch the top.'), 9)).to.include({
      index: 9,
      text: 'Topstitch the bottom.'
    });
  });

  it('lays the second of equal pieces, and does not run a stop the step names itself', () => {
    const sheet = read(
      '2 panels 10 x 20 cm',
      '1. Hoop the mesh. Stitch stop 1.',
      '2. Lay a panel at the upper edge, right side down. Stitch stop 2. Flip it up.',
      '3. Do the same at the lower edge. Stitch stop 3. Flip it down.'
    );
    expect(sheet.stops.map(({ n }) => n)).to.deep.equal([1, 2, 3]);
    expect(asked(sheet).filter((each) => each.includes('lay'))).to.deep.equal([
      '1 lay panels',
      '2 lay panels'
    ]);
  });
});

describe('stops as sheets say them', () => {
  it('in brackets, with a number sign, and by the thread that does something', () => {
    expect(stopsSaid('Stitch the zip guide (1)', 0)).to.deep.equal({ from: 1, count: 1, last: false });
    expect(stopsSaid('Stitch color #3 and #4', 2)).to.deep.equal({ from: 3, count: 2, last: false });
    expect(stopsSaid('The first thread stitches the outline', 0)?.from).to.equal(1);
    expect(stopsSaid('Change the first thread', 0)).to.equal(undefined);
  });

  it('called steps where the sheet numbers none itself', () => {
    const sheet = read(
      'Felt 100 x 100 mm, tearaway',
      '',
      'Hoop the tearaway. Stitch step one. Lay the felt over it. Step two tacks it down. Step three is the lamp.'
    );
    expect(sheet.stops.map(({ n }) => n)).to.deep.equal([1, 2, 3]);
    // A sheet whose own steps are numbered so means those.
    const numbered = read(
      'Step 1. Hoop the tearaway.',
      'Step 2. Stitch stop 1.',
      'Step 3. As in step 2, stitch stop 2.'
    );
    expect(numbered.stops.map(({ n }) => n)).to.deep.equal([1, 2]);
  });

  it('that no sentence runs by itself are there all the same', () => {
    const sheet = read(
      '1. Hoop the felt. Stitch stop 1.',
      '2. Stitch stop 2.',
      '3. Stitch stop 5, the edge.'
    );
    expect(sheet.stops.map(({ n }) => n)).to.deep.equal([1, 2, 3, 4, 5]);
  });

  it('are lace where nothing is laid and all is rinsed out', () => {
    const sheet = read('1. Hoop the film.', '2. Run stops 1-3.', '3. Unhoop, rinse and let it dry.');
    expect(sheet.stops.map(({ role }) => role)).to.deep.equal(['lace', 'lace', 'lace']);
  });
});

describe('lists as people write them', () => {
  const texts = (text: string): string[] => {
    const [line] = linesOfText([text]);
    return line ? entriesOf(line).map((entry) => entry.text) : [];
  };

  it('in one sentence behind their label, sizes where they are known', () => {
    expect(
      texts('Supplies: cotton for the front, terry for the back (9 x 11 in), tear-away, 2 snaps')
    ).to.deep.equal([
      '- cotton for the front',
      '- terry for the back (9 x 11 in)',
      '- tear-away',
      '- 2 snaps'
    ]);
  });

  it('with full stops between them', () => {
    expect(
      texts('Felt cover: 15 x 20 cm. Felt inside: 15 x 20 cm. Felt pages: 2 pieces, 10 x 14 cm.')
    ).to.have.length(3);
  });

  it('with a count before the size, and a second size that is the folded one', () => {
    expect(sizeIn('Backing 1x 20 x 27 cm')?.cut).to.deep.equal({ widthMm: 200, heightMm: 270 });
    const [pocket] = read(
      'pocket: cotton, 1 piece, 14 x 16 cm, folded in half to 14 x 8 cm',
      'front: cotton, 1 piece, 20 x 20 cm',
      '1. Hoop the mesh.'
    ).pieces;
    expect(pocket).to.include({ name: 'pocket', count: 1 });
    expect(pocket?.cut).to.deep.equal({ widthMm: 140, heightMm: 160 });
  });

  it('name the stabiliser without a size, in how many layers; a topping is none', () => {
    const { pieces } = read(
      'Material: water-soluble stabiliser, 2 layers.',
      '1. Hoop the stabiliser.',
      '2. Stitch stop 1.'
    );
    expect(pieces[0]).to.include({ role: 'stabiliser', count: 2 });
    const other = read('Material: water soluble topping, tear away stabilizer.', '1. Hoop the stabilizer.');
    expect(other.pieces.find(({ role }) => role === 'stabiliser')?.name).to.include('tear away');
  });

  it('and a piece is meant by a word only it has', () => {
    const sheet = read(
      'front cotton green 16 x 12 cm',
      'back cotton red 16 x 12 cm',
      '1. Hoop the mesh. Stitch stop 1.',
      '2. Lay the front over it, then the back, right side down.'
    );
    expect(asked(sheet).filter((each) => each.includes('lay'))).to.deep.equal([
      '1 lay front cotton green',
      '1 lay back cotton red'
    ]);
  });
});

describe('sentences without a verb in front', () => {
  it('hoop what goes into the hoop, and leave a sentence that has its verb', () => {
    expect(hooping('Two layers of heavy water soluble film in the hoop', false)).to.equal(
      'hoop the heavy water soluble film'
    );
    expect(hooping('Stretch the stabiliser in your frame, then go on', false)).to.equal(
      'Stretch the stabiliser in your frame, then go on'
    );
    expect(hooping('Felt in the hoop', true)).to.equal('Felt in the hoop');
  });

  it('lay what begins with the name of a piece, whatever verb that looks like', () => {
    const sheet = read(
      'Felt cover 15 x 20 cm',
      'Felt inside 15 x 20 cm',
      '1. Hoop the mesh. Stitch stop 1.',
      '2. Cover felt on the outline, held with a little spray.',
      '3. Stitch stop 2.'
    );
    expect(asked(sheet)).to.include('1 lay Felt cover');
    expect(sheet.pieces.some(({ name }) => /spray/.test(name))).to.equal(false);
  });

  it('flip all that the last seam joined', () => {
    const sheet = read(
      'front 10 x 20 cm',
      'lining 10 x 20 cm',
      '1. Hoop the mesh. Stitch stop 1.',
      '2. Lay the front face down. Turn the hoop over and lay the lining face down. Stitch stop 2.',
      '3. Flip. Stitch stop 3.'
    );
    expect(asked(sheet).filter((each) => each.includes('flip'))).to.deep.equal([
      '2 flip front',
      '2 flip lining'
    ]);
    // What runs after a flip with nothing said holds it down.
    expect(sheet.stops.at(-1)?.role).to.equal('topstitch');
  });
});

describe('what the lists say of the drawing', () => {
  it('a zip lies between the seams its panels leave, by their cuts', () => {
    const sheet = read(
      'zipper 200 mm',
      'upper front 200 x 76 mm',
      'lower front 200 x 110 mm',
      '1. Hoop the mesh. Stitch stop 1.',
      '2. Lay the zipper and tape it. Stitch stop 2.',
      '3. Lay the upper front face down on the zipper. Stitch stop 3. Flip the upper front up. Stitch stop 4.',
      '4. Lay the lower front face down on the zipper. Stitch stop 5. Flip the lower front down. Stitch stop 6.'
    );
    const zipped = zippedIn(sheet, { width: 176, height: 160 });
    // 76 less 21 for fold and rim from above, 110 less 21 from below: -80 + 55 = -25 and 80 - 89 = -9.
    expect(zipped?.seams.get(3)).to.deep.equal({ y: -25, down: false });
    expect(zipped?.seams.get(5)).to.deep.equal({ y: -9, down: true });
    expect(zipped?.zip.y).to.equal(-17);
    expect(zippedIn({ ...sheet, actions: [] }, { width: 176, height: 160 })).to.equal(undefined);
  });

  it('what a piece is for follows from how it is handled', () => {
    const laid = { below: false, flipped: false, hooped: false };
    expect(useOf(laid, 'woven')).to.equal('applique');
    expect(useOf({ ...laid, flipped: true }, 'woven')).to.equal('flipped');
    expect(useOf({ ...laid, below: true }, 'felt')).to.equal('backing');
    expect(useOf({ ...laid, flipped: true }, 'batting')).to.equal('batting');
    expect(useOf({ ...laid, flipped: true }, 'zip')).to.equal('zip-tape');
    expect(useOf({ ...laid, hooped: true }, 'cutaway')).to.equal('hooped');
  });

  it('a length alone is a ribbon, a zip has its tapes, a loop lies doubled', () => {
    const cut = { widthMm: 100, heightMm: null };
    expect(ownSize({ name: 'loop', cut }, { tied: true, covers: null, zip: false })).to.deep.equal({
      width: 12,
      height: 50
    });
    expect(ownSize({ name: 'ribbon', cut }, { tied: true, covers: null, zip: false })).to.deep.equal({
      width: 12,
      height: 100
    });
    expect(ownSize({ name: 'zipper', cut }, { tied: false, covers: 'place-zip', zip: true })).to.deep.equal({
      width: 100,
      height: 32
    });
    expect(
      ownSize({ name: 'felt', cut: null }, { tied: false, covers: 'outline', zip: false })
    ).to.deep.equal({});
  });
});

describe('what is put in other words', () => {
  it('is put so once: what is not understood then is left, and reading ends', () => {
    const sheet = read('Unhoop.', 'Cotton A (top): 5 1/2" square', 'Now place cotton A over everything.');
    expect(asked(sheet)).to.deep.equal(['0 unhoop']);
  });

  it('is not repeated for ever where a repeat asks for itself', () => {
    const sheet = read(
      '1. Do the same at the lower side.',
      '2. Repeat steps 1 to 2.',
      '3. Repeat step 2 for the other end.'
    );
    expect(asked(sheet)).to.deep.equal([]);
  });
});
