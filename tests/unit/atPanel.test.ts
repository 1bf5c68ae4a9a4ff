import { expect } from 'chai';
import { newLine, Order } from '$lib/core/documents/order';
import type { Machine } from '$lib/core/documents/shop';
import { planBatch } from '$lib/core/ordering/day';
import { type AtPanel, atPanel, LineContext } from '$lib/core/ordering/hoopings';
import { layOutCopies } from '$lib/core/solvers/nesting';
import { ordersCsv, reservedCsv, stashCsv } from '$lib/files';
import { machine, orderOf, patches, plainPatch, shopOf } from './support/orders';

const panelOf = (
  count: number,
  panel: NonNullable<Machine['panel']>,
  more: Partial<Machine> = {}
): AtPanel | null => {
  const own = { ...machine('one'), ...more, panel };
  const shop = shopOf([own]);
  const { hoopings } = planBatch(patches(count, shop));
  const hooping = hoopings[0];
  const hoop = shop.hoops.find(({ id }) => id === hooping?.hoopId);
  const context = new LineContext(newLine('line', 'patch', count), plainPatch(), undefined, shop);
  const stage = hoop && context.stagesOf(own, hoop)[0];
  return hooping && stage ? atPanel(own, hooping, stage) : null;
};

describe('at the panel', () => {
  it('gives columns, rows and pitch in the order and the unit the machine asks for', () => {
    // Six patches of 60 mm with 20 mm between them: two columns of three rows, or three of two, 80 mm apart.
    const made = panelOf(6, { copies: 'grid', unit: 'mm', asks: 'across-first' });
    expect(made?.entries.map(({ label }) => label)).to.deep.equal([
      'Columns',
      'Column pitch',
      'Rows',
      'Row pitch'
    ]);
    const [columns, across, rows, down] = made?.entries.map(({ value }) => value) ?? [];
    expect(Number(columns) * Number(rows)).to.equal(6);
    expect([across, down]).to.deep.equal(['80.0 mm', '80.0 mm']);
    expect(made?.spare).to.equal(0);
    expect(made?.corner).to.match(/^(upper|lower) (left|right)$/);
    // The corner copy lies half the grid from the middle.
    expect(made?.traceFrom).to.deep.equal({ x: -40 * (Number(columns) - 1), y: -40 * (Number(rows) - 1) });
    const counts = panelOf(6, { copies: 'grid', unit: 'tenths', asks: 'counts-first' });
    expect(counts?.entries.map(({ label }) => label)).to.deep.equal([
      'Columns',
      'Rows',
      'Column pitch',
      'Row pitch'
    ]);
    expect(counts?.entries[2]?.value).to.equal('800');
    // 80 mm are 3.15 in.
    expect(panelOf(6, { copies: 'grid', unit: 'in', asks: 'across-first' })?.entries[1]?.value).to.equal(
      '3.15 in'
    );
  });

  it('says how many the grid has too many, and which halts a machine of several needles wants', () => {
    const five = panelOf(5, { copies: 'grid', unit: 'mm', asks: 'across-first' }, { needles: 6 });
    expect(five?.spare).to.equal(1);
    expect(five?.halts).to.deep.equal([1]);
    expect(
      panelOf(5, { copies: 'grid', unit: 'mm', asks: 'across-first' }, { needles: 1 })?.halts
    ).to.deep.equal([]);
  });

  it('gives a machine that stitches one at a time one copy to a hooping, and one with a grid no nested ones', () => {
    const one = { ...machine('one'), panel: { copies: 'one', unit: 'mm', asks: 'across-first' } as const };
    expect(planBatch(patches(4, shopOf([one]))).hoopings.map(({ copies }) => copies)).to.deep.equal([
      1, 1, 1, 1
    ]);
    expect(panelOf(4, { copies: 'one', unit: 'mm', asks: 'across-first' })).to.equal(null);
    // A triangle: two nested take less room than two boxes.
    const triangle = {
      path: {
        closed: true,
        points: [
          [-40, 30],
          [40, 30],
          [0, -30]
        ] as [number, number][]
      },
      width: 80,
      height: 60,
      middle: { x: 0, y: 0 },
      reach: 0
    };
    const area = { minX: -65, minY: -35, maxX: 65, maxY: 35 };
    const all = { gap: 2, most: 9, turns: [0, 90, 180, 270] } as const;
    const free = layOutCopies(triangle, area as never, all);
    const rows = layOutCopies(triangle, area as never, { ...all, rowsOnly: true });
    expect(rows.how).to.equal('rows');
    expect(free.placements.length).to.be.at.least(rows.placements.length);
  });
});

describe('tables as CSV', () => {
  const bad = '=HYPERLINK("http://x")';
  it('never hand a spreadsheet a formula or a line of somebody else', () => {
    const order = Order.parse({
      ...orderOf([newLine('line', 'patch', 2)]),
      name: bad,
      customer: 'A\n=1+1,"b"'
    });
    const orders = ordersCsv([order], () => '@SUM(A1)');
    expect(orders.split('\n')).to.have.length(3);
    expect(orders).to.include(`"'=HYPERLINK(""http://x"")"`);
    expect(orders).to.include(`"'@SUM(A1)`.slice(1));
    const stash = stashCsv([
      {
        id: 'a',
        what: 'thread',
        name: '+cmd',
        colour: '#112233',
        place: '-1',
        price: null,
        note: '\t=1',
        spools: 1,
        metres: 400
      }
    ]);
    for (const cell of ["'+cmd", "'-1"]) expect(stash).to.include(cell);
    const reserved = reservedCsv(
      [
        {
          what: 'thread',
          name: bad,
          have: 10,
          parts: [{ orderId: 'o', needs: 12, takes: 10 }],
          short: null,
          spoolsShort: 0
        }
      ],
      () => bad
    );
    expect(reserved.split('\n')[1]).to.match(/^thread,"'=HYPER/);
    expect(reserved).to.match(/,12,10,2$/);
  });
});
