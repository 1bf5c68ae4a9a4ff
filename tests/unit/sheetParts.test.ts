import { linesOfText } from '$lib/core/reading/pages';
import { readSheet } from '$lib/core/reading/sheets';
import { piecesListed } from '$lib/core/reading/sheets/pieces';
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
