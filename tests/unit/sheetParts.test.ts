import { linesOfText } from '$lib/core/reading/pages';
import { readSheet } from '$lib/core/reading/sheets';
import { entriesOf, isList } from '$lib/core/reading/sheets/entries';
import { sidesInWords } from '$lib/core/reading/sheets/facing';
import { hooping } from '$lib/core/reading/sheets/hooping';
import { piecesListed } from '$lib/core/reading/sheets/pieces';
import { runsBySubject, stopsSaid } from '$lib/core/reading/sheets/stopsSaid';
import { expect } from 'chai';

describe('steps of a sheet', () => {
  const SENTENCES = [
    'Hoop the felt.',
    'Sew stop 1.',
    'Lay the front over it.',
    'Sew stop 2.',
    'Trim the front.'
  ];
  const WAYS: [how: string, write: (text: string, at: number) => string][] = [
    ['1.', (text, at) => `${at + 1}. ${text}`],
    ['1)', (text, at) => `${at + 1}) ${text}`],
    ['Step 3', (text, at) => `Step ${at + 1}: ${text}`],
    ['Step on a line of its own', (text, at) => `Step ${at + 1}\n${text}\n`],
    ['No. 3', (text, at) => `No. ${at + 1} ${text}`],
    ['A1', (text, at) => `A${at + 1} ${text}`],
    ['Roman', (text, at) => `${['I', 'II', 'III', 'IV', 'V'][at] ?? ''}. ${text}`],
    ['bullets', (text) => `• ${text}`],
    ['dashes', (text) => `- ${text}`],
    ['a bar', (text, at) => `${String(at + 1).padStart(2, '0')} | ${text}`],
    ['a marked table', (text, at) => `| ${at + 1} | ${text} |`],
    ['nothing', (text) => `${text}\n`]
  ];
  for (const [how, write] of WAYS)
    it(`are told by ${how}`, () => {
      const { steps, sentences, stops } = readSheet(linesOfText(SENTENCES.map(write).join('\n').split('\n')));
      expect(sentences.map(({ text }) => text)).to.deep.equal(SENTENCES);
      expect(steps).to.have.length(5);
      expect(stops.map(({ n }) => n)).to.deep.equal([1, 2]);
    });
  it('run on over lines and hyphens, and end before the foot of the page', () => {
    const { sentences } = readSheet(
      linesOfText([
        '1. Lay the back right side down over every-',
        '   thing and tape it.',
        '2. Sew stop 1.',
        '3. Trim it.',
        '',
        'Share this',
        'Older posts'
      ])
    );
    expect(sentences.map(({ text }) => text)).to.deep.equal([
      'Lay the back right side down over everything and tape it.',
      'Sew stop 1.',
      'Trim it.'
    ]);
  });
});

describe('pieces of a sheet', () => {
  const one = (line: string): unknown => {
    const [piece] = piecesListed(linesOfText([line]));
    return piece && [piece.name, piece.material, piece.count, piece.cut?.widthMm, piece.cut?.heightMm];
  };
  it('are read with counts, names, letters, materials and sizes, in mm and inches', () => {
    expect(one('1 back (towelling), 220 x 260 mm')).to.deep.equal(['back', 'towelling', 1, 220, 260]);
    // 5 1/4 in = 133.35 mm, 6 1/2 in = 165.1 mm.
    expect(one('2 × front (cotton), 5 1/4 x 6 1/2 in')).to.deep.equal(['front', 'cotton', 2, 133.35, 165.1]);
    expect(one('A  felt, outer cover  1  190 x 130 mm')).to.deep.equal([
      'A',
      'felt, outer cover',
      1,
      190,
      130
    ]);
    expect(one('Lining (2): 18 x 20 cm')).to.deep.equal(['Lining', null, 2, 180, 200]);
    expect(one('20 cm of 6 mm ribbon')).to.deep.equal(['ribbon', null, 1, 200, null]);
    expect(
      piecesListed(linesOfText(['Materials: felt front, 90 x 110 mm; felt back, 90 x 110 mm'])).map(
        ({ name }) => name
      )
    ).to.deep.equal(['felt front', 'felt back']);
    expect(one('Finished size: 40 x 120 mm'), 'the whole is no piece').to.equal(undefined);
  });
});

describe('pieces one behind the other', () => {
  const entries = (text: string): string[] =>
    linesOfText([text])
      .flatMap(entriesOf)
      .map((line) => line.text);
  it('are entries of their own, however they are parted', () => {
    expect(entries('Cut: A 17 x 14 cm; B and C 17 x 12 cm each')).to.deep.equal([
      'A 17 x 14 cm',
      'B 17 x 12 cm',
      'C 17 x 12 cm each'
    ]);
    expect(entries('Each flag needs 1 felt 5" x 5" red, 1 felt 5" x 5" white')).to.deep.equal([
      '1 felt 5" x 5" red',
      '1 felt 5" x 5" white'
    ]);
    expect(entries('front fabric 18 x 22 cm, back fabric the same, binding 1 m')).to.deep.equal([
      'front fabric 18 x 22 cm',
      'back fabric 18 x 22 cm',
      'binding 1 m'
    ]);
  });
  it('are one entry where a mark goes on with it: a material, a second unit, brackets', () => {
    for (const text of ['1 back (cream, cotton), 220 x 260 mm', 'A | cotton | 120 x 80 mm | 4.7 x 3.1 in'])
      expect(entries(text)).to.deep.equal([text]);
  });
  it('make a list of a line, and a step is none', () => {
    expect(isList('Also: cutaway 20 x 20 cm')).to.equal(true);
    expect(isList('Lay the silk, 22 x 9 cm, over the line and sew stop 2.')).to.equal(false);
  });
  it('have the side of a square or circle as both sizes, and columns parted by bars', () => {
    const [felt, floss] = piecesListed(
      linesOfText(['felt circle 4"', 'Felt, charcoal | 60 x 180 mm | 2 layers'])
    );
    expect([felt?.name, felt?.cut]).to.deep.equal(['felt', { widthMm: 101.6, heightMm: 101.6 }]);
    expect([floss?.name, floss?.material, floss?.count]).to.deep.equal(['Felt', 'charcoal', 2]);
  });
});

describe('other ways to say it', () => {
  it('stops by words, by a verb with numbers, by #, and no stop where a number measures', () => {
    const said = (text: string): unknown => {
      const stops = stopsSaid(text, 0);
      return stops && [stops.from, stops.count];
    };
    expect(said('colors three to five')).to.deep.equal([3, 3]);
    expect(said('Stitch 2 and 3 to 7')).to.deep.equal([2, 6]);
    expect(said('#3 Upper seam')).to.deep.equal([3, 1]);
    expect(said('Run all four stops one after another')).to.deep.equal([null, 4]);
    expect(said('the second run fastens it')).to.deep.equal([2, 1]);
    expect(said('Trim round 8 mm')).to.equal(undefined);
    expect(said('Stitch 3 mm from the edge')).to.equal(undefined);
  });
  it('stitches as the subject run, things that lie do not', () => {
    expect(runsBySubject('Two satin rounds finish the edge')).to.equal(true);
    expect(runsBySubject('The felt covers the line')).to.equal(false);
  });
  it('hooping without a verb, and sides by their letters', () => {
    expect(hooping('Cut-away into the hoop', false)).to.equal('hoop the Cut-away');
    expect(hooping('Hooping: soft mesh', false)).to.equal('hoop the soft mesh');
    expect(hooping('Felt in the hoop', true)).to.equal('Felt in the hoop');
    expect(sidesInWords('the back on top, RST')).to.equal('the back on top, right sides together');
  });
  it('“do the same with C” asks for what was asked before', () => {
    const { actions } = readSheet(
      linesOfText([
        '1 B, 170 x 120 mm',
        '1 C, 170 x 120 mm',
        '1. Hoop the cutaway. Sew stop 1.',
        '2. Press B in half. Do the same with C.',
        '3. Lay B and then C over the line.'
      ])
    );
    expect(actions.slice(1, 3).map(({ action, piece }) => [action, piece])).to.deep.equal([
      ['fold', 'B'],
      ['fold', 'C']
    ]);
  });
});
