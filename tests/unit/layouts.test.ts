import { constructionOf } from '$lib/core/craft/constructions';
import { defaultShop, isSameLayout, Shop } from '$lib/core/documents/shop';
import { Item, stitchesOf } from '$lib/core/documents/item';
import { align, assemble, withLists } from '$lib/core/reading/matching';
import { linesOf, linesOfText } from '$lib/core/reading/pages';
import { columnToAsk, layoutSaying, readChart, readPaper } from '$lib/core/reading/papers';
import { titleOf } from '$lib/core/reading/papers/title';
import { expect } from 'chai';
import fc from 'fast-check';
import { setChart } from '../bench/support/grammarCells';
import { GRAMMAR_LAYOUTS } from '../bench/support/grammarLayouts';
import { grammarChart } from '../bench/support/grammarTruth';
import { seeded } from '../bench/support/random';

type Row = [part: string, remark: string, colour: string, stitches: number];

/** A house that heads its columns with words of its own, and has two of words: the remarks read more like work. */
function oddHouse(rows: Row[]): string {
  return [
    'Nr  Krobi         Vaska               Hul         Dom',
    ...rows.map(
      ([part, remark, colour, stitches], at) =>
        `${String(at + 1).padEnd(4)}${part.padEnd(14)}${remark.padEnd(20)}${colour.padEnd(12)}${stitches}`
    )
  ].join('\n');
}
const FIRST: Row[] = [
  ['Buffer', 'placement line', 'grey', 120],
  ['Buffer', 'tack it down', 'grey', 134],
  ['Ears', 'satin border', 'black', 1210],
  ['Lamp', 'fill', 'amber', 980],
  ['Wheel', 'edge', 'black', 2210]
];
const SECOND: Row[] = [
  ['Signal', 'tack it down', 'red', 88],
  ['Post', 'fill', 'white', 640],
  ['Lamp', 'satin border', 'amber', 1320],
  ['Ladder', 'placement line', 'grey', 210]
];

describe('a layout that the maker settles', () => {
  const taught = (() => {
    const { layout } = readChart(oddHouse(FIRST));
    if (!layout) throw new Error('nothing read');
    return layoutSaying(layout, 1, 'name');
  })();

  it('moves a whole column at one word, and the column that held it is left out', () => {
    expect(readChart(oddHouse(FIRST)).rows.map(({ name }) => name)[0]).to.equal('placement line');
    const { rows, columns } = readChart(oddHouse(FIRST), { layouts: [taught] });
    expect(rows.map(({ name }) => name)).to.deep.equal(['Buffer', 'Buffer', 'Ears', 'Lamp', 'Wheel']);
    expect(rows.map(({ stitches }) => stitches)).to.deep.equal([120, 134, 1210, 980, 2210]);
    expect(columns.map(({ field }) => field)).to.deep.equal(['number', 'name', null, 'colour', 'stitches']);
  });
  it('reads the next paper of that house, and says so', () => {
    const { rows, layout } = readChart(oddHouse(SECOND), { layouts: [taught] });
    expect(rows.map(({ name }) => name)).to.deep.equal(['Signal', 'Post', 'Lamp', 'Ladder']);
    expect(layout?.settled).to.equal(true);
    expect(readChart(oddHouse(SECOND)).layout?.settled, 'forgotten, it is read as any').to.equal(false);
  });
  it('leaves papers of other houses alone', () => {
    const other = '1  Badger  grey  120\n2  Fern  green  1240\n3  Rim  black  2210\n4  Lamp  red  400';
    expect(readChart(other, { layouts: [taught] }).layout?.settled).to.equal(false);
    expect(isSameLayout(taught, { ...taught, headings: taught.headings.map((word) => `${word} `) })).to.equal(
      true
    );
  });
  it('that makes no chart of it is not taken', () => {
    const wrong = layoutSaying(taught, 3, 'stitches');
    const { rows, layout } = readChart(oddHouse(FIRST), { layouts: [wrong] });
    expect(layout?.settled).to.equal(false);
    expect(rows).to.have.length(5);
  });
  it('is kept in the shop', () => {
    const kept = { ...taught, name: 'Halt Designs', settledAt: '2026-11-27T10:00:00.000Z' };
    expect(Shop.parse({ ...defaultShop('shop'), layouts: [kept] }).layouts).to.have.length(1);
    expect(
      Shop.safeParse({ ...defaultShop('shop'), layouts: [{ ...kept, structure: 'pile' }] }).success
    ).to.equal(false);
  });
  it('is asked about only where another reading is nearly as likely', () => {
    const { columns } = readChart(oddHouse(FIRST));
    expect(columnToAsk(columns)).to.equal(undefined);
    const unsure = columns.map((column, at) => ({ ...column, margin: at === 3 ? 0.1 : column.margin }));
    expect(columnToAsk(unsure)).to.equal(3);
  });
});

describe('several lists on one paper', () => {
  const TWO = `Fox tag, two sizes

Small (30 x 94 mm)
No  What            Thread        Sts
1   placement       grey 112      84
2   tack-down       grey 112      96
3   ears            orange 221    1,210
4   outline         black 900     404

Large (40 x 125 mm)
No  What            Thread        Sts
1   placement       grey 112      102
2   tack-down       grey 112      121
3   ears            orange 221    1,980
4   outline         black 900     650
`;
  it('are told apart where the numbers begin again, with their names and sizes', () => {
    const { lists, problems, title } = readChart(TWO);
    expect(title).to.equal('Fox tag, two sizes');
    expect(lists.map(({ name }) => name)).to.deep.equal(['Small (30 x 94 mm)', 'Large (40 x 125 mm)']);
    expect(lists.map(({ facts }) => facts.size)).to.deep.equal([
      { width: 30, height: 94 },
      { width: 40, height: 125 }
    ]);
    expect(problems.filter(({ message }) => /comes after/.test(message))).to.have.length(0);
  });
  it('are named by a column that says the same all through each', () => {
    const csv = ['file;nr;part;colour;stitches'];
    for (const file of ['front.txt', 'back.txt'])
      for (const [at, part] of ['placement', 'tack', 'ears'].entries())
        csv.push(`${file};${at + 1};${part};grey;${100 + 300 * at + file.length}`);
    expect(readChart(csv.join('\n')).lists.map(({ name }) => name)).to.deep.equal(['front.txt', 'back.txt']);
  });
  it('become variants with the counts of their own rows', () => {
    const { rows, lists } = readChart(TWO);
    const tab = constructionOf('snap-tab');
    if (!tab) throw new Error('no tab');
    const [small, large] = [
      { width: 30, height: 94 },
      { width: 40, height: 125 }
    ].map((size) => tab.patternOf({ ...tab.defaults, ...size }));
    if (!small?.ok || !large?.ok) throw new Error('refused');
    const of = (at: number) => rows.filter(({ line }) => lists[at]?.lines.includes(line));
    const item = assemble(small.pattern, {
      id: 'fox',
      name: 'Fox tag',
      now: '2026-11-27T10:00:00.000Z',
      construction: 'snap-tab',
      params: small.params,
      chart: { text: TWO, setAside: [], rows: of(0), alignment: align(of(0), small.pattern.expected) }
    });
    const both = Item.parse(
      withLists(item, small.pattern, [
        {
          id: 'list-2',
          name: 'Large',
          overrides: { width: 40, height: 125 },
          rows: of(1),
          pattern: large.pattern
        }
      ])
    );
    expect(both.variants.map(({ name }) => name).slice(1)).to.deep.equal(['Large']);
    const stops = both.files.flatMap((file) => file.stops).filter((stop) => stop.number !== null);
    expect(stops.map(stitchesOf)).to.deep.equal([84, 96, 1210, 404]);
    const phases = both.variants[1]?.phases ?? {};
    const own = stops.map((stop) => phases[stop.id]?.reduce((sum, phase) => sum + phase.stitches, 0));
    expect(own).to.deep.equal([102, 121, 1980, 650]);
  });
});

describe('what else a paper says', () => {
  it('is its name, without what papers call themselves', () => {
    const title = (...lines: string[]): string | null => titleOf(linesOfText(lines), 99);
    expect(title('Badger key fob – colour chart', '', 'printed 3 May')).to.equal('Badger key fob');
    expect(title('Design;Guard’s pennant')).to.equal('Guard’s pennant');
    expect(title('Dear maker, this chart took us a week and we hope that you like it very much.')).to.equal(
      null
    );
  });
});

describe('nothing is invented', () => {
  it('every field of every row stands on the paper, where the row stands', () => {
    const names = Object.keys(GRAMMAR_LAYOUTS);
    const bare = (text: string): string => text.replace(/[^\p{L}\d]/gu, '').toLowerCase();
    fc.assert(
      fc.property(
        fc.constantFrom(...names),
        fc.constantFrom('named' as const, 'nameless' as const, 'bare' as const),
        fc.integer({ min: 1, max: 100_000 }),
        (name, mode, seed) => {
          const random = seeded(seed);
          const written = GRAMMAR_LAYOUTS[name]?.(setChart(grammarChart(seed), mode, random), random);
          if (!written) return;
          const reading = 'text' in written ? readChart(written.text) : readPaper(written.paper);
          const lines = 'text' in written ? linesOfText(written.text.split('\n')) : linesOf(written.paper);
          const all = bare(lines.map(({ text }) => text).join(' '));
          for (const row of reading.rows) {
            const own = bare(
              lines
                .filter(({ line }) => row.lines?.includes(line))
                .map(({ text }) => text)
                .join(' ')
            );
            for (const word of row.name.split(/\s+/))
              expect(own, `${name} ${mode} ${seed}`).to.include(bare(word));
            if (row.stitches !== null) expect(own).to.include(String(row.stitches));
            // A colour may stand once for several rows.
            for (const word of row.colour.split(/\s+/)) expect(all).to.include(bare(word));
          }
        }
      ),
      { numRuns: 60, seed: 7 }
    );
  });
});
