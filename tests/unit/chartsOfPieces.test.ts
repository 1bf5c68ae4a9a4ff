import { constructionOf } from '$lib/core/craft/constructions';
import { type Item, stitchesOf } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import { answersFor } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import { makeItem } from './support/badger';
import { roomyShop } from './support/ends';
import { sheetWords } from './support/sheetWords';

/** An item of a chart, with the answers that the chart gives; and these. */
function of(kind: string, chart: string): { item: Item; answers: Record<string, unknown> } {
  const construction = constructionOf(kind);
  if (!construction) throw new Error(`There is no ${kind}.`);
  const answers = answersFor(construction, readChart(chart).rows, construction.defaults);
  return { item: makeItem(kind, answers, chart), answers };
}
const threads = (item: Item): string[] =>
  review(item, undefined, roomyShop).plan.steps.flatMap(({ op, title }) =>
    op?.do === 'thread' ? title.replace('Thread ', '') : []
  );
const aboveNotes = (item: Item): string[] =>
  review(item, undefined, roomyShop).checked.open.flatMap(({ severity, code }) =>
    severity === 'note' ? [] : code
  );
const roleOf = (item: Item, count: number): string | undefined =>
  item.files.flatMap(({ stops }) => stops).find((stop) => stitchesOf(stop) === count)?.role;

const FLOWER = `1\tplacement for all\tpink\t310
2\tpetal edge\tpink\t1300
3\trose edge\trose\t1500
4\tdark edge\tblack\t700
5\tsparkle\twhite\t350`;
const BADGE = `1\tcut line and placement\twhite\t150
2\tfill\tcream\t3900
3\tdetail\tred\t480
4\tborder\tbrass\t2380`;
const MAT = `1\tplacement\tgrey\t190
2\ttack-down\tgrey\t190
3\tlamp\tbrass\t2200
4\tword one\tblack\t900
5\tword two\tblue\t850
6\tglow\tyellow\t400
7\toutline\tgrey\t190
8\tback tack\tgrey\t190
9\tedge\tburgundy\t3500`;

describe('rows of one placement that serve several pieces', () => {
  it('are laid in one trip, every thread as it is charted, and an edge is never a hidden line', () => {
    const { item, answers } = of('fused-applique', FLOWER);
    expect(answers).to.deep.equal({ lines: 'one' });
    expect(threads(item)).to.deep.equal(['Pink', 'Rose', 'Black', 'White']);
    const words = sheetWords(item);
    expect(words.filter((word) => word === 'hoop-off')).to.have.length(2);
    expect([1300, 1500, 700].map((count) => roleOf(item, count))).to.not.include('placement');
    expect(aboveNotes(item)).to.deep.equal([]);
  });
  it('as many pieces as the chart has edges', () => {
    const one = of(
      'fused-applique',
      '1\tplacement\tgreen\t90\n2\tleaf edge\tgreen\t1100\n3\tveins\tbrown\t300'
    );
    expect(one.answers).to.deep.equal({ pieces: 1 });
    expect(one.item.pieces.filter(({ use }) => use === 'applique')).to.have.length(1);
    const three = [1, 2, 3]
      .map((at) => `${2 * at - 1}\tplacement\tred\t90\n${2 * at}\tedge\tred\t1100`)
      .join('\n');
    expect(of('fused-applique', three).answers).to.deep.equal({ pieces: 3 });
  });
});

describe('a mat', () => {
  it('whose chart has no appliqué has none: two words and a glow are stitched where they are', () => {
    const { item, answers } = of('layered-mat', MAT);
    expect(answers).to.deep.equal({ applique: 'none' });
    expect([900, 850, 400].map((count) => roleOf(item, count))).to.deep.equal([
      'lettering',
      'lettering',
      'decoration'
    ]);
    const words = sheetWords(item);
    expect(words.indexOf('S Outline again')).to.be.greaterThan(words.indexOf('S Glow'));
    expect(aboveNotes(item)).to.deep.equal([]);
  });
});

describe('cut line and placement in one stop', () => {
  it('is run in both hoopings of a border patch, and nothing is wrong with that', () => {
    const { item, answers } = of('border-patch', BADGE);
    expect(answers).to.deep.equal({ design: 'after' });
    const words = sheetWords(item);
    expect(words.filter((word) => word === 'S Cut line and patch: placement')).to.have.length(2);
    expect(words.indexOf('S Fill')).to.be.greaterThan(words.lastIndexOf('S Cut line and patch: placement'));
    expect(aboveNotes(item)).to.deep.equal([]);
  });
  it('marks and places one blank', () => {
    const { item, answers } = of('batch-patch', BADGE);
    expect(answers).to.deep.equal({ copies: 1 });
    expect(sheetWords(item).filter((word) => word.startsWith('S Cut lines and'))).to.have.length(2);
    expect(aboveNotes(item)).to.deep.equal([]);
  });
  it('is one row only where it says both', () => {
    const { item } = of(
      'border-patch',
      '1\tfill\tcream\t3900\n2\tcut line\twhite\t150\n3\tborder\tbrass\t2380'
    );
    expect(item.remarks.map(({ code }) => code)).to.include('chart/no-row');
  });
});

describe('a patch whose cloth is laid', () => {
  it('is placed, tacked, trimmed and edged', () => {
    const { item, answers } = of(
      'patch',
      '1\tplacement\twhite\t150\n2\ttack-down\twhite\t160\n3\tfill\tcream\t3900\n4\tborder\tbrass\t2380'
    );
    expect(answers).to.deep.equal({ lies: 'laid' });
    const words = sheetWords(item);
    expect(words.indexOf('trim ground-cloth')).to.be.greaterThan(words.indexOf('S Tack-down'));
    expect(aboveNotes(item)).to.deep.equal([]);
  });
});

describe('lace', () => {
  it('changes no bobbin between stops of one colour', () => {
    const { item } = of('lace', '1\tlace\tcream\t5120\n2\tflower\tred\t800\n3\tleaf\tred\t600');
    const bobbins = sheetWords(item).filter((word) => word.startsWith('bobbin'));
    expect(bobbins).to.have.length(2);
  });
});
