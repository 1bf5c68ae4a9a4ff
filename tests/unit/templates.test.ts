import { extents } from '$lib/core/base/geometry';
import type { Item } from '$lib/core/documents/item';
import { defaultShop } from '$lib/core/documents/shop';
import { appearance } from '$lib/core/making/appearance';
import { plan } from '$lib/core/making/plan';
import { reasonsOf } from '$lib/core/making/why';
import { hoopTemplate, PAPERS, pieceTemplates, templatePages } from '$lib/core/preparing/templates';
import type { Template } from '$lib/core/preparing/templates/marks';
import { OVERLAP_MM } from '$lib/core/preparing/templates/pages';
import { linesOf } from '$lib/core/reading/pages';
import { readPdf, sheetPdf, templatesPdf, templatesSvg } from '$lib/files';
import { Face } from '$lib/files/pdfFonts';
import { printable, wrapped } from '$lib/files/pdfText';
import { expect } from 'chai';
import { PDFDocument } from 'pdf-lib';
import { badgerShop, makeItem } from './support/badger';
import { made } from './support/made';
import { measurePdf } from './support/pdf';
import { FONTS } from './support/fonts';

const item = makeItem('snap-tab', { width: 30, height: 94 });
const planned = plan(item, undefined, badgerShop());
const pieces = pieceTemplates(item, planned);

/** The first line of a template in a style. */
function box(template: Template | undefined, style: string): ReturnType<typeof extents> {
  const mark = template?.marks.find((each) => each.kind === 'path' && each.style === style);
  if (mark?.kind !== 'path') throw new Error(`no ${style} line`);
  return extents(mark.path);
}
const textOf = (template: Template | undefined): string =>
  template?.marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])).join(' / ') ?? '';

describe('templates of pieces', () => {
  it('are as large as the cut list says, the line they cover inside them', () => {
    for (const cut of planned.cuts) {
      const template = pieces.find(({ id }) => id === cut.pieceId);
      const { width, height } = box(template, 'cut');
      expect([width, height], cut.name).to.deep.equal([cut.cut.width, cut.cut.height]);
    }
    const front = pieces.find(({ name }) => name === 'FRONT');
    expect(box(front, 'line')).to.include({ width: 30, height: 94 });
    expect(textOf(front)).to.match(/^FRONT \/ 55 × 120 mm \/ .* \/ right side up$/);
  });
  it('are mirrored for a shape that is cut wrong side up, and only then', () => {
    const flag = {
      closed: true,
      points: [
        [0, 0],
        [40, 0],
        [0, 30]
      ] as [number, number][]
    };
    const shaped = (wrongSideUp: boolean): Template | undefined => {
      const whole: Item = {
        ...item,
        lines: item.lines.map((line) => ({ ...line, path: flag })),
        pieces: item.pieces.map((piece) =>
          piece.name === 'FRONT'
            ? { ...piece, shape: 'pre-cut', template: { wrongSideUp, mirrored: wrongSideUp } }
            : piece
        )
      };
      return pieceTemplates(whole, plan(whole, undefined, badgerShop())).find(({ name }) => name === 'FRONT');
    };
    const outline = (template: Template | undefined): unknown =>
      template?.marks.flatMap((mark) =>
        mark.kind === 'path' && mark.style === 'cut' ? [mark.path.points] : []
      )[0];
    expect(outline(shaped(false))).to.deep.equal([
      [3, 3],
      [43, 3],
      [3, 33]
    ]);
    expect(outline(shaped(true))).to.deep.equal([
      [43, 3],
      [3, 3],
      [43, 33]
    ]);
    expect(textOf(shaped(true))).to.match(/mirrored: cut with the wrong side up/);
  });
  it('show the grain where it is kept', () => {
    const grained: Item = { ...item, pieces: item.pieces.map((piece) => ({ ...piece, grain: 'fixed' })) };
    const arrows = (templates: Template[]): number =>
      templates.flatMap(({ marks }) => marks).filter((mark) => mark.kind === 'path' && mark.style === 'arrow')
        .length;
    expect(arrows(pieces)).to.equal(0);
    expect(arrows(pieceTemplates(grained, planned))).to.equal(2 * pieces.length);
  });
  it('of the hoop have its field, its centre cross and the design, from the front or from behind', () => {
    const hoop = hoopTemplate(item, planned, 'hooping-1');
    expect(box(hoop, 'frame')).to.include({ width: 100, height: 100 });
    expect(box(hoop, 'guide')).to.include({ width: 100, height: 0 });
    expect(textOf(hoopTemplate(item, planned, 'hooping-1', true))).to.match(/seen from behind/);
  });
});

describe('pages of templates', () => {
  const large: Template = {
    id: 'large',
    name: 'LARGE',
    width: 400,
    height: 300,
    marks: [
      {
        kind: 'path',
        style: 'cut',
        path: {
          closed: true,
          points: [
            [0, 0],
            [400, 0],
            [400, 300],
            [0, 300]
          ]
        }
      }
    ]
  };
  it('hold several templates apart from each other, within what a printer prints', () => {
    const [first] = templatePages(
      pieces.filter(({ name }) => name !== 'STABILISER'),
      'A4',
      'Tab'
    );
    const windows = first?.placed.map(({ window }) => window) ?? [];
    expect(windows).to.have.length(2);
    const [a, b] = windows;
    if (!a || !b) throw new Error('two windows');
    const apart =
      a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y;
    expect(apart).to.equal(true);
    for (const { x, y, width, height } of windows) {
      expect(Math.min(x, y)).to.be.at.least(10);
      expect(x + width).to.be.at.most(PAPERS.A4.width - 10);
      expect(y + height).to.be.at.most(PAPERS.A4.height - 10 - 50);
    }
  });
  it('cut a large one into tiles that overlap by 10 mm and together show all of it', () => {
    const pages = templatePages([large], 'A4', 'Mat');
    // 190 mm wide: (400 - 10) / 180 = 3 columns; 222.2 mm high: (300 - 10) / 212.2 = 2 rows.
    expect(pages.map(({ title }) => title)).to.deep.equal(
      ['A1', 'A2', 'A3', 'B1', 'B2', 'B3'].map((tile) => `LARGE, part ${tile} of 2 × 3`)
    );
    const shown = pages.map(({ placed: [part] }) => ({
      left: (part?.window.x ?? 0) - (part?.dx ?? 0),
      right: (part?.window.x ?? 0) - (part?.dx ?? 0) + (part?.window.width ?? 0)
    }));
    expect(shown[0]?.left).to.equal(0);
    expect((shown[0]?.right ?? 0) - (shown[1]?.left ?? 0)).to.be.closeTo(OVERLAP_MM, 1e-9);
    expect(shown[2]?.right).to.be.closeTo(400, 1e-9);
  });
  it('measure true to 0.1 mm when the PDF is read back: paper, check squares and pieces', async () => {
    for (const paper of ['A4', 'Letter'] as const) {
      const pages = await measurePdf(await templatesPdf(templatePages(pieces, paper, 'Tab'), 'Tab', FONTS));
      for (const { width, height, boxes } of pages) {
        expect(
          [width, height].map(
            (mm, at) => Math.abs(mm - [PAPERS[paper].width, PAPERS[paper].height][at]!) < 0.1
          )
        ).to.deep.equal([true, true]);
        const squares = boxes.filter((each) => each.closed).slice(-2);
        expect(squares[0]?.width).to.be.closeTo(50, 0.1);
        expect(squares[0]?.height).to.be.closeTo(50, 0.1);
        expect(squares[1]?.width).to.be.closeTo(50.8, 0.1);
      }
      const drawn = pages.flatMap(({ boxes }) => boxes);
      for (const cut of planned.cuts.filter(({ name }) => name !== 'STABILISER')) {
        const found = drawn.some(
          ({ width, height }) =>
            Math.abs(width - cut.cut.width) < 0.1 && Math.abs(height - cut.cut.height) < 0.1
        );
        expect(found, cut.name).to.equal(true);
      }
    }
  });
  it('are SVG in millimetres, with every word escaped', () => {
    const named = { ...large, name: 'A < B & "C"', width: 100, height: 100 };
    const [page] = templatePages([named], 'A4', 'Tab & co');
    if (!page) throw new Error('no page');
    const text = templatesSvg(page);
    expect(text).to.match(
      /^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="210mm" height="297mm" viewBox="0 0 210 297">/
    );
    expect(text).to.include('A &#60; B &#38; &#34;C&#34;').and.not.include('& co');
  });
});

describe('the sheet on paper', () => {
  it('has every step with its own number and the machine’s, and the cut list', async () => {
    const read = await readPdf(await sheetPdf(planned, 'A4', {}, FONTS));
    if (!read.ok) throw new Error(read.message);
    const lines = linesOf(read.paper).map(({ text }) => text);
    for (const step of planned.steps.filter(({ kind }) => kind === 'stop')) {
      const line = lines.find(
        (text) => text.includes(step.title) && new RegExp(`(^|\\s)${step.number}(\\s|$)`).test(text)
      );
      const near = line ?? lines.filter((text) => text.includes(step.title)).join();
      expect(near, `${step.number} ${step.title}`).to.include(step.title);
    }
    const words = read.paper.pages.flatMap((page) => page.words.map(({ text }) => text));
    for (const step of planned.steps) expect(words).to.include(String(step.number));
    expect(lines.some((text) => text.startsWith('FRONT: 55 × 120 mm'))).to.equal(true);
  });
  it('shows the item and says why a step is so, where that is wanted', async () => {
    const { trace, item } = made('snap-tab');
    const state = trace.at(-1)?.state;
    if (!state) throw new Error('Nothing was simulated.');
    const reasons = reasonsOf(item, trace);
    const bare = await sheetPdf(plan(item, undefined, defaultShop('pdf')), 'A4', {}, FONTS);
    const full = await sheetPdf(
      plan(item, undefined, defaultShop('pdf')),
      'A4',
      { look: appearance(state, item), reasons },
      FONTS
    );
    expect(full.length).to.be.greaterThan(bare.length);
    const read = await readPdf(full);
    const words = read.ok
      ? linesOf(read.paper)
          .map(({ text }) => text)
          .join(' ')
      : '';
    const [reason] = Object.values(reasons);
    expect(words).to.include(reason?.split(/\s+/).slice(0, 4).join(' '));
  });
  it('prints what its type has no sign for as near as it can', async () => {
    const odd = { ...planned, itemName: 'Žabka ⅜ in' };
    const read = await readPdf(await sheetPdf(odd, 'Letter', {}, FONTS));
    expect(read.ok && linesOf(read.paper)[0]?.text).to.equal('Žabka 3/8 in');
  });
});

describe('letters of a PDF', () => {
  it('print with every accent, from the typeface that ships', async () => {
    const name = 'Łódź Žižkov Güneş Ærø Șura Œuvre';
    const read = await readPdf(await sheetPdf({ ...planned, itemName: name }, 'A4', {}, FONTS));
    const text = read.ok
      ? linesOf(read.paper).map((line) => line.cells.map((cell) => cell.text).join(' '))
      : [];
    expect(text.join('\n')).to.include(name);
  });
  it('are written out where the typeface has no sign, and broken to a width', async () => {
    const pdf = await PDFDocument.create();
    const face = await Face.embed(pdf, FONTS.plain);
    expect(printable('4 ⅜ in', face)).to.equal('4 3/8 in');
    expect(printable('Tłumaczka ☐', face)).to.equal('Tłumaczka ?');
    const lines = wrapped('Łódź by the sea, and a word more', face, 10, 80);
    expect(lines.length).to.be.greaterThan(1);
    for (const line of lines) expect(face.widthOf(line, 10)).to.be.at.most(80);
    expect(face.runs('Lód ź').map(({ text }) => text)).to.deep.equal(['Lód ', 'ź']);
  });
});
