import { expect } from 'chai';
import { readFileSync, readdirSync } from 'node:fs';
import { defaultShop } from '$lib/core/documents/shop';
import { type Block, brokenReferences, Item, namesIn, renamedIn } from '$lib/core/documents/item';
import { interpret, withSentences } from '$lib/core/making/interpret';
import { review } from '$lib/core/making/checks';
import { outside } from '$lib/core/craft/stack';
import { readChart } from '$lib/core/reading/papers';
import { blocksOf, remake } from '$lib/core/reading/matching';

const shop = defaultShop('shop');
const STYLES = 'tests/papers/styles';

function read(text: string): Item {
  const { sheet, rows, facts, title } = readChart(text);
  if (!sheet) throw new Error('no sheet');
  const papers = {
    id: 'x',
    name: title ?? 'Read',
    now: '2026-01-01T00:00:00Z',
    sheet,
    rows,
    size: facts.size,
    text
  };
  return withSentences(interpret(papers, shop), sheet, 'A sheet');
}

const LAMP = `Signal lamp mat
Finished size 140 x 100 mm
Materials: front cotton 164 x 124 mm green, batting 164 x 124 mm, back cotton 164 x 124 mm red, 1 layer tear-away
1. Hoop the tear-away.
2. Stitch stop 1, the placement line.
3. Lay the batting over the line and stitch stop 2 to tack it down.
4. Trim the batting.
5. Lay the front on the batting, right side up. Stitch stop 3, the tack down.
6. Stitch stop 4, the lamp.
7. Lay the back on top, right side down, and tape it.
8. Stitch stop 5, the closing seam, which leaves an opening.
9. Take it out of the hoop, tear away the stabiliser, cut it out, turn it right side out and close the opening by hand.
`;

const blocks = (item: Item): Block[] => blocksOf(item) ?? [];
const named = (item: Item): (string | undefined)[] => blocks(item).map(({ name }) => name);
const rebuilt = (item: Item, change: (own: Block[]) => Block[], params = item.params): Item => {
  const made = remake(item, params, change(blocks(item)));
  if (!made.ok) throw new Error(made.problems.join(' '));
  expect(brokenReferences(made.item)).to.deep.equal([]);
  return made.item;
};
const troublesOf = (item: Item, change: (own: Block[]) => Block[]): string[] => {
  const made = remake(item, item.params, change(blocks(item)));
  return made.ok ? made.made.troubles.map(({ why }) => why) : made.problems;
};
/** What shows in front, behind and inside, right side or wrong. */
const ends = (item: Item): unknown => {
  const last = review(item, undefined, shop).trace.at(-1);
  if (!last) return null;
  const { front, back, lining } = outside(last.state, item);
  return [front, back, lining].map((side) => side.map(({ layer, rightSide }) => [layer.pieceId, rightSide]));
};
const stops = (item: Item): string[] =>
  item.steps.flatMap((step) =>
    step.kind === 'stop'
      ? (item.files.flatMap((file) => file.stops).find(({ id }) => id === step.stopId)?.name ?? [])
      : []
  );

describe('an item of a sheet in blocks', () => {
  const lamp = read(LAMP);

  it('has a block for the hooping, each piece, the design, the back, the seam and what comes after', () => {
    expect(named(lamp)).to.deep.equal([
      'Hooping',
      'Batting',
      'Front cotton green',
      'Lamp',
      'Back cotton red',
      'Closing seam',
      'Finishing'
    ]);
  });

  it('stays the same item when nothing is changed, in every style of sheet', () => {
    const texts = readdirSync(STYLES).flatMap((file) =>
      readFileSync(`${STYLES}/${file}`, 'utf8').split(/^=====+\n/m)
    );
    for (const text of texts) {
      const item = read(text);
      expect(blocksOf(item), item.name).not.to.equal(null);
      const again = rebuilt(item, (own) => own);
      expect(again.steps, item.name).to.deep.equal(item.steps);
      expect(again.pieces, item.name).to.deep.equal(item.pieces);
      expect(again.lines, item.name).to.deep.equal(item.lines);
      expect(again.files, item.name).to.deep.equal(item.files);
      expect(ends(again), item.name).to.deep.equal(ends(item));
      expect(Item.safeParse(JSON.parse(JSON.stringify(item))).success).to.equal(true);
    }
  });

  it('takes another design between the design and the back', () => {
    expect(
      troublesOf(lamp, (now) => now.toSpliced(4, 0, { id: 'own-1', kind: 'details', answers: {} }))
    ).to.deep.equal([]);
    const own = rebuilt(lamp, (now) => now.toSpliced(4, 0, { id: 'own-1', kind: 'details', answers: {} }));
    expect(stops(own).slice(0, 4)).to.deep.equal(stops(lamp).slice(0, 4));
    expect(stops(own)).to.have.length(stops(lamp).length + 1);
    expect(ends(own)).to.deep.equal(ends(lamp));
  });

  it('changes a cloth and a thread by the block that has them', () => {
    const own = rebuilt(lamp, (now) =>
      now.map((block) =>
        block.name === 'Front cotton green'
          ? {
              ...block,
              answers: {
                ...block.answers,
                cloth: { kind: 'felt', name: 'Moss felt', colour: '#5a6b3c' },
                thread: { name: 'Brass', colour: '#b08d3c' }
              }
            }
          : block
      )
    );
    expect(own.pieces.find(({ name }) => name === 'FRONT COTTON GREEN')?.material.name).to.equal('Moss felt');
    expect(own.threads.map(({ name }) => name)).to.include('Brass');
  });

  it('stretches its lines and the opening with the item', () => {
    const wide = rebuilt(lamp, (now) => now, { ...lamp.params, width: 280, height: 200 });
    const closing = (item: Item): Item['lines'][number] | undefined =>
      item.lines.find(({ id }) => id === 'closing');
    const [was, is] = [closing(lamp), closing(wide)];
    expect(Math.max(...(is?.path.points ?? []).map(([x]) => x))).to.be.closeTo(140, 1e-6);
    const opening = (line: typeof was): number => (line?.gaps[0]?.to ?? 0) - (line?.gaps[0]?.from ?? 0);
    expect(opening(is)).to.be.closeTo(2 * opening(was), 0.01);
  });

  it('refuses work on a piece that no block lays any more, and says so', () => {
    expect(troublesOf(lamp, (now) => now.filter(({ name }) => name !== 'Hooping'))[0]).to.equal(
      'Nothing is hooped yet.'
    );
    const alone = (own: Block[]): Block[] => {
      const [first, ...rest] = own;
      return first ? [first, first, ...rest] : [];
    };
    expect(troublesOf(lamp, alone)).to.include('It stands here twice.');
  });

  it('keeps a change of thread by hand, its colour with it, also where the block is repeated', () => {
    const changed = read(
      LAMP.replace('6. Stitch stop 4, the lamp.', '6. Change to brass thread and stitch stop 4, the lamp.')
    );
    const threadsOf = (item: Item): string[] =>
      item.steps.flatMap((step) =>
        step.kind === 'hand' && step.op.do === 'thread'
          ? (item.threads.find(({ id }) => step.op.do === 'thread' && id === step.op.threadId)?.name ?? '?')
          : []
      );
    expect(threadsOf(changed)).to.deep.equal(['Brass']);
    expect(threadsOf(rebuilt(changed, (now) => now))).to.deep.equal(['Brass']);
    const twice = rebuilt(changed, (now) =>
      now.flatMap((block) => (block.name === 'Lamp' ? [block, { ...block, id: 'again' }] : [block]))
    );
    expect(threadsOf(twice)).to.deep.equal(['Brass', 'Brass']);
  });

  it('repeats a block with pieces and lines of its own', () => {
    const twice = rebuilt(lamp, (now) =>
      now.flatMap((block) => (block.name === 'Lamp' ? [block, { ...block, id: 'again' }] : [block]))
    );
    expect(stops(twice).filter((name) => name === 'Lamp')).to.have.length(2);
    expect(new Set(twice.steps.map(({ id }) => id)).size).to.equal(twice.steps.length);
  });

  it('keeps the numbers its sheet gives the stops', () => {
    const numbers = (item: Item): (number | null)[] =>
      item.files.flatMap((file) => file.stops).map(({ number }) => number);
    const without = rebuilt(lamp, (now) => now.filter(({ name }) => name !== 'Lamp'));
    expect(numbers(without)).to.deep.equal([1, 2, 3, 5]);
  });
});

describe('what an operation names', () => {
  it('is found and named anew at any depth', () => {
    const op = {
      do: 'lay' as const,
      pieceId: 'a',
      side: 'above' as const,
      face: 'down' as const,
      covers: 'l',
      over: 12,
      edge: { lineId: 'seam', body: 'down' as const, allowance: 8 },
      hold: { by: 'nothing' as const }
    };
    expect(namesIn(op).map(({ kind, id }) => `${kind} ${id}`)).to.have.members([
      'piece a',
      'line l',
      'line seam'
    ]);
    expect(renamedIn(op, (kind, id) => `${kind}-${id}`)).to.deep.equal({
      ...op,
      pieceId: 'piece-a',
      covers: 'line-l',
      edge: { ...op.edge, lineId: 'line-seam' }
    });
  });
});
