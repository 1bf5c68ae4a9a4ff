/** The cupboard of the demo stall. */
import { MM_PER_INCH } from '$lib/core/base/units';
import { ClothEntry, CountedEntry, type Stash, STASH_VERSION, ThreadEntry } from '$lib/core/documents/stash';

const inches = (value: number): number => value * MM_PER_INCH;
type ClothWish = Partial<ClothEntry> & Pick<ClothEntry, 'id' | 'name' | 'kind' | 'form' | 'width' | 'height'>;

const cloth = (wish: ClothWish): ClothEntry =>
  ClothEntry.parse({ what: 'cloth', colour: '#f3f0ea', place: 'Shelf 1', ...wish });
const thread = (id: string, name: string, colour: string, metres: number, place = 'Drawer A'): ThreadEntry =>
  ThreadEntry.parse({ what: 'thread', id, name, colour, metres, spools: 1, price: 4.2, place });
const counted = (
  what: CountedEntry['what'],
  id: string,
  name: string,
  count: number,
  more: Partial<CountedEntry> = {}
): CountedEntry => CountedEntry.parse({ what, id, name, count, colour: '#9aa0a8', place: 'Tin', ...more });

/** Outline of a scrap with a corner gone, mm. */
const cornerless = {
  closed: true,
  points: [
    [0, 0],
    [260, 0],
    [260, 150],
    [170, 240],
    [0, 240]
  ] as [number, number][]
};

export const stash: Stash = {
  schema: 'jolt-step/stash',
  version: STASH_VERSION,
  entries: [
    cloth({
      id: 'vinyl-buff',
      name: 'Buff vinyl',
      kind: 'vinyl',
      form: 'length',
      width: 680,
      height: 450,
      colour: '#cbb58d',
      price: 14,
      place: 'Rail'
    }),
    cloth({
      id: 'vinyl-buff-scrap',
      name: 'Buff vinyl',
      kind: 'vinyl',
      form: 'scrap',
      width: 160,
      height: 130,
      colour: '#cbb58d',
      place: 'Offcut box'
    }),
    cloth({
      id: 'canvas-navy',
      name: 'Navy canvas',
      kind: 'canvas',
      form: 'length',
      width: 1400,
      height: 620,
      colour: '#31405c',
      price: 12.5,
      prewashed: true
    }),
    cloth({
      id: 'fern',
      name: 'Fern print',
      kind: 'woven',
      form: 'sheets',
      width: inches(18),
      height: inches(22),
      count: 2,
      colour: '#4d7148',
      price: 3.5,
      direction: 'either-way',
      prewashed: true
    }),
    cloth({
      id: 'carriage',
      name: 'Carriage red',
      kind: 'woven',
      form: 'length',
      width: 1100,
      height: 520,
      colour: '#8d2f35',
      price: 11,
      prewashed: true
    }),
    cloth({
      id: 'carriage-scrap',
      name: 'Carriage red',
      kind: 'woven',
      form: 'scrap',
      width: 260,
      height: 240,
      outline: cornerless,
      colour: '#8d2f35',
      place: 'Offcut box',
      prewashed: true
    }),
    cloth({
      id: 'cream',
      name: 'Cream',
      kind: 'woven',
      form: 'length',
      width: 1100,
      height: 800,
      colour: '#efe3c4',
      price: 9.5,
      shrinkage: { along: 4, across: 2 }
    }),
    cloth({
      id: 'felt-grey',
      name: 'Felt',
      kind: 'felt',
      form: 'sheets',
      width: 230,
      height: 305,
      count: 4,
      colour: '#7c8a6a',
      price: 1.1,
      alike: true
    }),
    cloth({
      id: 'towelling',
      name: 'Towelling',
      kind: 'towelling',
      form: 'length',
      width: 1400,
      height: 300,
      colour: '#dfe6ea',
      price: 13,
      direction: 'fixed',
      prewashed: true
    }),
    cloth({
      id: 'batting',
      name: 'Cotton batting',
      kind: 'batting',
      form: 'length',
      width: 1140,
      height: 900,
      colour: '#f6f2e8',
      price: 8,
      alike: true,
      place: 'Top shelf'
    }),
    cloth({
      id: 'tear-508',
      name: 'Tear-away, wide roll',
      kind: 'tear-away',
      form: 'roll',
      width: inches(20),
      height: 6200,
      colour: '#efece4',
      price: 1.6,
      alike: true,
      place: 'Roll stand'
    }),
    cloth({
      id: 'tear-254',
      name: 'Tear-away, narrow roll',
      kind: 'tear-away',
      form: 'roll',
      width: inches(10),
      height: 2400,
      colour: '#efece4',
      price: 0.9,
      alike: true,
      place: 'Roll stand'
    }),
    cloth({
      id: 'tear-used',
      name: 'Tear-away, used once',
      kind: 'tear-away',
      form: 'scrap',
      width: 300,
      height: 420,
      colour: '#efece4',
      alike: true,
      place: 'Roll stand',
      stitched: [{ x: 95, y: 60, width: 110, height: 100 }]
    }),
    cloth({
      id: 'cutaway',
      name: 'Cutaway',
      kind: 'cutaway',
      form: 'roll',
      width: inches(12),
      height: 3100,
      colour: '#f3f0ea',
      price: 1.4,
      alike: true,
      place: 'Roll stand'
    }),
    cloth({
      id: 'wash-away',
      name: 'Wash-away, cloth type',
      kind: 'wash-away-mesh',
      form: 'roll',
      width: inches(10),
      height: 4000,
      colour: '#e9eef0',
      price: 2.8,
      alike: true,
      place: 'Roll stand'
    }),
    cloth({
      id: 'film',
      name: 'Wash-away film',
      kind: 'wash-away-film',
      form: 'roll',
      width: inches(10),
      height: 1500,
      colour: '#dfe9ec',
      price: 1.2,
      alike: true,
      place: 'Roll stand'
    }),
    thread('thread-white', 'White', '#f4f3ee', 430),
    thread('thread-brass', 'Brass', '#b58a3c', 820),
    thread('thread-ink', 'Ink black', '#20242c', 64),
    thread('thread-cream', 'Cream', '#efe3c4', 510),
    counted('zip', 'zip-250', 'Nylon zip', 3, { length: 250, price: 0.8 }),
    counted('notion', 'snap-cap', 'Snap cap', 24, { price: 0.05 }),
    counted('notion', 'snap-socket', 'Snap socket', 9, { price: 0.05 }),
    counted('notion', 'snap-stud', 'Snap stud', 15, { price: 0.05 }),
    counted('bobbin', 'bobbin-white', 'White bobbin, wound', 11, { colour: '#f4f3ee' }),
    counted('needle', 'needle-75', 'Needle', 8, { size: '75/11' }),
    counted('needle', 'needle-90', 'Needle', 3, { size: '90/14' })
  ]
};
