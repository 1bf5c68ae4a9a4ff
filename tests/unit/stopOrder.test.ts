import {
  bestOrder,
  compareCosts,
  mayStitchNow,
  orderCost,
  type OrderTask
} from '$lib/core/solvers/stopOrder';
import { jumpsOf, jumpWords, stopList } from '$lib/core/stitching/thread';
import { expect } from 'chai';
import fc from 'fast-check';
import { bruteOrder, randomTasks } from './support/bruteForce';

const stop = (
  number: number,
  thread: string | null,
  after: number[] = [],
  bobbin: string | null = null
): OrderTask => ({
  id: String(number),
  thread,
  bobbin,
  place: { file: 'file', number },
  after: after.map(String)
});

describe('the order of stops', () => {
  it('brings stops of one colour together where nothing hinders it', () => {
    const tasks = [stop(1, 'white'), stop(2, 'pink'), stop(3, 'white'), stop(4, 'pink')];
    const { cost, proven } = bestOrder(tasks);
    // White 1 and 3, pink 4 and 2, or so: three jumps, as 1-3, 3-2 and 2-4, or two where 3 is followed by 4.
    expect(cost).to.deep.equal({ threads: 2, bobbins: 0, jumps: 2 });
    expect(proven).to.equal(true);
  });
  it('keeps placement, tack-down and outline on one path in their order', () => {
    // A tab: the placement is hidden, so it takes the detail’s thread; the outline needs the back, the back the details.
    const tab: OrderTask[] = [
      stop(1, null),
      { id: 'lay front', thread: null, bobbin: null, place: null, after: ['1'] },
      { ...stop(2, 'white'), after: ['1', 'lay front'] },
      { ...stop(3, 'pink'), after: ['2'] },
      { ...stop(4, 'black'), after: ['2'] },
      { ...stop(5, 'pink'), after: ['2'] },
      { id: 'lay back', thread: null, bobbin: null, place: null, after: ['3', '4', '5', 'lay front'] },
      { ...stop(6, 'white'), after: ['lay back'] }
    ];
    const { order, cost } = bestOrder(tab);
    expect(order.filter((id) => ['1', '2', '6'].includes(id))).to.deep.equal(['1', '2', '6']);
    expect(order.indexOf('lay back')).to.be.greaterThan(order.indexOf('4'));
    // White, pink, black, white: one pink change less than the file, which has five.
    expect(cost.threads).to.equal(4);
    expect(
      orderCost(
        tab,
        tab.map(({ id }) => id)
      ).threads
    ).to.equal(5);
  });
  it('prefers the same bobbin where threads cost the same', () => {
    // Cream needs its bobbin and so does rust; fern takes any, and may stand anywhere.
    const tasks = [stop(1, 'cream', [], 'cream'), stop(2, 'rust', [], 'rust'), stop(3, 'rust', [], 'cream')];
    // 1, 3, 2: two threads and two bobbins; in file order there would be three bobbins.
    expect(bestOrder(tasks)).to.deep.equal({
      order: ['1', '3', '2'],
      cost: { threads: 2, bobbins: 2, jumps: 2 },
      proven: true
    });
  });
  it('takes a five-colour lace with its bobbins colour by colour', () => {
    const colours = ['cream', 'rust', 'fern', 'cream', 'sky', 'rust', 'ink'];
    const lace = colours.map((colour, at) => stop(at + 1, colour, [], colour));
    expect(bestOrder(lace).cost).to.include({ threads: 5, bobbins: 5 });
    expect(
      orderCost(
        lace,
        lace.map(({ id }) => id)
      )
    ).to.deep.equal({ threads: 7, bobbins: 7, jumps: 0 });
  });
  it('is as good as the best of all orders, in all three counts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 0, max: 100_000 }), (count, seed) => {
        const tasks = randomTasks(count, seed);
        const { order, cost, proven } = bestOrder(tasks);
        expect(proven).to.equal(true);
        expect(orderCost(tasks, order)).to.deep.equal(cost);
        expect(cost).to.deep.equal(bruteOrder(tasks));
      }),
      { numRuns: 150 }
    );
  });
  it('keeps every precedence and is never worse than the file, proven or not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 40 }), fc.integer({ min: 0, max: 100_000 }), (count, seed) => {
        const tasks = randomTasks(count, seed, { colours: 6, wait: 0.05 });
        const { order, cost } = bestOrder(tasks, 300);
        expect([...order].sort()).to.deep.equal(tasks.map(({ id }) => id).sort());
        for (const { id, after } of tasks)
          for (const before of after) expect(order.indexOf(before)).to.be.lessThan(order.indexOf(id));
        expect(
          compareCosts(
            cost,
            orderCost(
              tasks,
              tasks.map(({ id }) => id)
            )
          )
        ).to.be.at.most(0);
      }),
      { numRuns: 25 }
    );
  });
  it('says so when it is not proven', () => {
    expect(bestOrder(randomTasks(30, 3, { wait: 0.02 }), 10).proven).to.equal(false);
  });
  it('refuses steps that wait for each other', () => {
    expect(() => bestOrder([stop(1, 'white', [2]), stop(2, 'white', [1])])).to.throw(RangeError, 'circle');
  });
});

describe('jumps in the file', () => {
  it('are said with what still waits', () => {
    const words = jumpsOf([1, 2, 5, 6, 3, 4, 7]).map((jump) => jump && jumpWords(jump));
    expect(words).to.deep.equal([
      null,
      null,
      'Go forward to stop 5; stops 3 and 4 wait.',
      null,
      'Go back to stop 3; stop 4 waits.',
      null,
      'Go forward to stop 7.'
    ]);
  });
  it('are none for a stop that two steps share, and do not list what is left out', () => {
    expect(jumpsOf([1, 2, 2, 3])).to.deep.equal([null, null, null, null]);
    expect(jumpsOf([1, 4])[1]).to.deep.equal({ way: 'forward', to: 4, waiting: [] });
  });
  it('draws runs of stops together', () => {
    expect(stopList([6, 7, 8, 11])).to.equal('stops 6 to 8 and 11');
    expect(stopList([4])).to.equal('stop 4');
    expect(stopList([4, 5])).to.equal('stops 4 and 5');
  });
});

describe('this thread is on', () => {
  const tasks = [
    stop(1, 'white'),
    stop(2, 'pink', [1]),
    stop(3, 'white', [1]),
    stop(4, 'white', [2]),
    stop(5, null, [3]),
    stop(6, 'white', [5])
  ];
  it('names what may be stitched now and what waits for what', () => {
    expect(mayStitchNow(tasks, new Set(['1']), 'white')).to.deep.equal([
      { id: '3', first: [] },
      { id: '5', first: ['3'] },
      { id: '6', first: ['3', '5'] }
    ]);
  });
  it('leaves out what waits for another thread', () => {
    expect(mayStitchNow(tasks, new Set(['1']), 'pink')).to.deep.equal([{ id: '2', first: [] }]);
    expect(mayStitchNow(tasks, new Set(['1', '2']), 'white').map(({ id }) => id)).to.include('4');
  });
});
