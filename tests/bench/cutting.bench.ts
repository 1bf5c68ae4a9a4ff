/**
 * How well pieces are laid out by straight cuts: 60 sheets cut up without waste, where the optimum is known, and 60 cut
 * lists; on all of them against a packing library that may place without straight cuts. Same pieces, same width.
 */
import { MaxRectsPacker, PACKING_LOGIC, Rectangle } from 'maxrects-packer';
import { layOutPieces, usedHeight, type Wanted } from '$lib/core/solvers/strips';
import { cutList, zeroWaste, type CutCase } from './support/cutLists';
import { seeded } from './support/random';

const random = seeded(20261124);
const cases = [
  ...Array.from({ length: 60 }, () => zeroWaste(random)),
  ...Array.from({ length: 60 }, () => cutList(random))
];

const times: number[] = [];
const toOptimum: number[] = [];
let winsOrTies = 0;
let wins = 0;
let listWinsOrTies = 0;
const ratios: number[] = [];
for (const each of cases) {
  const start = performance.now();
  const length = ourLength(each);
  times.push(performance.now() - start);
  if (each.optimum !== null) toOptimum.push(length / each.optimum);
  const theirs = peerLength(each);
  ratios.push(length / theirs);
  if (length <= theirs + 0.01) winsOrTies++;
  if (length <= theirs + 0.01 && each.optimum === null) listWinsOrTies++;
  if (length < theirs - 0.01) wins++;
}

function ourLength({ width, wanted }: CutCase): number {
  const cloth = {
    id: 'cloth',
    width,
    height: null,
    turn: true,
    first: 'across' as const,
    bought: false,
    perMm: 1,
    whole: 0
  };
  const layout = layOutPieces(wanted, [cloth]);
  if (layout.unplaced.size > 0) throw new Error('Something found no place.');
  return usedHeight(layout.cloths[0]?.strips ?? []);
}

/**
 * The shortest of the library’s packings: its two logics, its own sorting and six orders of ours, each in a bin without
 * an end and in ever shorter ones, since bins are what it is made for.
 */
function peerLength({ width, wanted }: CutCase): number {
  const orders: ((a: Wanted, b: Wanted) => number)[] = [
    (a, b) => b.height - a.height,
    (a, b) => b.width - a.width,
    (a, b) => b.width * b.height - a.width * a.height,
    (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
    (a, b) => b.width + b.height - a.width - a.height,
    (a, b) => Math.min(b.width, b.height) - Math.min(a.width, a.height)
  ];
  const area = wanted.reduce((sum, each) => sum + each.count * each.width * each.height, 0);
  let best = Infinity;
  for (const logic of [PACKING_LOGIC.MAX_AREA, PACKING_LOGIC.MAX_EDGE])
    for (const order of [null, ...orders]) {
      const packed = (height: number): number => peerPack(width, height, wanted, logic, order);
      best = Math.min(best, packed(1e6));
      let [low, high] = [area / width, best];
      for (let step = 0; step < 7; step++) {
        const height = (low + high) / 2;
        const length = packed(height);
        if (length <= height) [best, high] = [Math.min(best, length), Math.min(best, length)];
        else low = height;
      }
    }
  return best;
}

/** Length the library needs in a bin of this height; none where it needs a second one. */
function peerPack(
  width: number,
  height: number,
  wanted: readonly Wanted[],
  logic: PACKING_LOGIC,
  order: ((a: Wanted, b: Wanted) => number) | null
): number {
  const units = (mm: number): number => Math.round(mm * 1000);
  const packer = new MaxRectsPacker(units(width), units(height), 0, {
    smart: true,
    pot: false,
    square: false,
    allowRotation: true,
    logic
  });
  const all = (order ? [...wanted].sort(order) : wanted).flatMap((each) =>
    Array.from({ length: each.count }, () => {
      const rectangle = new Rectangle(units(each.width), units(each.height));
      rectangle.allowRotation = each.turn;
      return rectangle;
    })
  );
  if (order) all.forEach((rectangle) => packer.add(rectangle));
  else packer.addArray(all);
  const [bin, ...more] = packer.bins;
  if (!bin || more.length > 0) return Infinity;
  return Math.max(...bin.rects.map((placed) => placed.y + placed.height)) / 1000;
}

const mean = (numbers: readonly number[]): number =>
  numbers.reduce((sum, each) => sum + each, 0) / numbers.length;
const round = (value: number): number => Number(value.toFixed(4));
console.log(
  `better than the library ${wins} times of ${cases.length}; as good or better on ${listWinsOrTies} of 60 cut lists`
);
console.log(`mean length against the library’s: ${round(mean(ratios))}`);
console.log(`optimum reached on ${toOptimum.filter((ratio) => ratio < 1.0001).length} of 60 sheets`);
console.log(
  JSON.stringify({
    meanToOptimum: round(mean(toOptimum)),
    maxToOptimum: round(Math.max(...toOptimum)),
    winsOrTiesVsPeer: round(winsOrTies / cases.length),
    medianMs: round([...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0)
  })
);
