/** The items of the demo stall, as someone who keeps the stall would have set them up. */
import { editStep, editStop, type Item, removeStep } from '$lib/core/documents/item';

export interface Wish {
  id: string;
  name: string;
  note: string;
  kind: string;
  answers: Record<string, unknown>;
  chart?: string;
  made: string;
  machineId: string;
  hoopId: string;
  /** What was changed by hand afterwards. */
  change?: (item: Item) => Item;
}

export const wishes: Wish[] = [
  {
    id: 'badger-tab',
    name: 'Badger luggage tab',
    note: 'The stationmaster. Sells best at the spring gala.',
    made: '2026-11-04T09:00:00.000Z',
    kind: 'snap-tab',
    answers: {},
    machineId: 'left',
    hoopId: 'hoop-100',
    change: tackedAsOutlined,
    chart: `No  Part        Colour   Stitches   Thread
 1  placement   grey          120   0.60 m
 2  tack-down   black         120   0.60 m
 3  face        white       1,500   8.10 m
 4  cheeks      pink           60   0.32 m
 5  eyes        black         900   4.86 m
 6  outline     white         420   2.10 m`
  },
  {
    id: 'lamp-patch',
    name: 'Signal lamp patch',
    note: 'Ironed on the volunteers’ aprons.',
    made: '2026-11-03T09:00:00.000Z',
    kind: 'patch',
    answers: {
      shape: 'oval',
      width: 76,
      height: 76,
      finish: 'iron-on',
      ground: { kind: 'canvas', name: 'Navy canvas', colour: '#31405c' }
    },
    machineId: 'right',
    hoopId: 'hoop-100',
    chart: `1\tlamp body\tslate\t3150\t17.0 m
2\tglow\tlamp yellow\t2240\t12.1 m
3\tred glass\tsignal red\t1380\t7.45 m
4\tletters B V L R\tcream\t1120\t6.0 m
5\tborder satin\tbrass\t2610\t16.9 m`
  },
  {
    id: 'ticket-tab',
    name: 'Ticket key fob',
    note: 'No chart yet: counts are estimates.',
    made: '2026-11-02T09:00:00.000Z',
    kind: 'snap-tab',
    answers: {
      shape: 'rounded',
      width: 32,
      height: 70,
      closing: 'eyelet',
      front: { kind: 'vinyl', name: 'Buff vinyl', colour: '#d9bd8b' },
      back: { kind: 'vinyl', name: 'Buff vinyl', colour: '#d9bd8b' },
      outline: { name: 'Burgundy', colour: '#6d1f31' },
      details: [
        { name: 'Ink black', colour: '#20242c' },
        { name: 'Burgundy', colour: '#6d1f31' }
      ]
    },
    machineId: 'left',
    hoopId: 'hoop-100'
  },
  {
    id: 'fern-border-patch',
    name: 'Fern window patch',
    note: 'Sewn on rucksacks. Border in brass.',
    made: '2026-11-01T09:00:00.000Z',
    kind: 'border-patch',
    answers: { shape: 'rounded', width: 82, height: 60 },
    machineId: 'left',
    hoopId: 'hoop-100',
    chart: `1,fern fill,fern green,3900,21.1 m
2,window frame,cream,1480,8.0 m
3,cut line,white,150,0.75 m
4,placement,grey,150,0.75 m
5,border satin,brass,2380,15.5 m`
  },
  {
    id: 'button-badges',
    name: 'Junior guard badges',
    note: 'Two to a hoop, ordered by the school.',
    made: '2026-10-31T09:00:00.000Z',
    kind: 'batch-patch',
    answers: { copies: 2, width: 50, height: 50, gap: 20, placements: 'one-by-one' },
    machineId: 'right',
    hoopId: 'hoop-130'
  },
  {
    id: 'driver-towel-patch',
    name: 'Driver’s towel patch',
    note: 'The letters sink without topping.',
    made: '2026-10-30T09:00:00.000Z',
    kind: 'pile-patch',
    answers: { width: 84, height: 52 },
    machineId: 'left',
    hoopId: 'hoop-100'
  },
  {
    id: 'ticket-pouch',
    name: 'Ticket pouch with a zip',
    note: 'Carriage red with a buff strip. Turn the lining first.',
    made: '2026-10-29T09:00:00.000Z',
    kind: 'zip-pouch',
    answers: {},
    machineId: 'left',
    hoopId: 'hoop-200'
  },
  {
    id: 'bramble-bib',
    name: 'Bramble’s bib',
    note: 'A name goes on every one.',
    made: '2026-10-28T09:00:00.000Z',
    kind: 'named-item',
    answers: { base: 'turned-flat', name: 'Bramble' },
    machineId: 'left',
    hoopId: 'hoop-200'
  },
  {
    id: 'signal-mat',
    name: 'Signal box mug mat',
    note: 'Two lamps in appliqué on fern print.',
    made: '2026-10-27T09:00:00.000Z',
    kind: 'layered-mat',
    answers: { width: 124, height: 110 },
    machineId: 'right',
    hoopId: 'hoop-130'
  },
  {
    id: 'canopy-lace',
    name: 'Canopy fretwork lace',
    note: 'Two parts to a hoop; a garland takes six.',
    made: '2026-10-26T09:00:00.000Z',
    kind: 'lace',
    answers: { parts: 2, width: 55, height: 70, loops: 6, colours: [{ name: 'Cream', colour: '#efe3c4' }] },
    machineId: 'right',
    hoopId: 'hoop-130'
  },
  {
    id: 'stove-topper',
    name: 'Stove towel topper',
    note: 'For the guard’s van stove rail.',
    made: '2026-10-25T09:00:00.000Z',
    kind: 'topper',
    answers: {},
    machineId: 'left',
    hoopId: 'hoop-130'
  },
  {
    id: 'lantern-apron',
    name: 'Lantern apron',
    note: 'The lamp is pre-cut, its flame trimmed in place.',
    made: '2026-10-24T09:00:00.000Z',
    kind: 'fused-applique',
    answers: { width: 45, height: 60, secondMethod: 'trim-in-place', edge: 'blanket' },
    machineId: 'left',
    hoopId: 'hoop-100'
  },
  {
    id: 'napkin-window',
    name: 'Dining car napkin',
    note: 'Cut through and patched: slower, but the edge is clean.',
    made: '2026-10-23T09:00:00.000Z',
    kind: 'cutwork',
    answers: { school: 'cut-through' },
    machineId: 'left',
    hoopId: 'hoop-100'
  },
  {
    id: 'odd-pouch',
    name: 'Odd pouch: find what is wrong',
    note: 'Left here on purpose. Five things are wrong with it; the sheet finds them before the needle does.',
    made: '2026-10-22T09:00:00.000Z',
    kind: 'zip-pouch',
    answers: { accent: 'no', opening: 45 },
    machineId: 'right',
    hoopId: 'hoop-200',
    change: spoiled
  }
];

/** The tack-down shows under the open outline, so it is stitched in the outline’s thread and not as charted. */
function tackedAsOutlined(item: Item): Item {
  const stops = item.files.flatMap((file) => file.stops);
  const outline = stops.find(({ expects }) => expects === 'outline');
  const tack = stops.find(({ expects }) => expects === 'tack-down');
  return tack && outline ? editStop(item, tack.id, { threadId: outline.threadId }) : item;
}

/** A pouch as it goes wrong: zip closed, back the wrong way up, lining loose, a metal zip, an opening too small. */
function spoiled(item: Item): Item {
  const closed = removeStep(item, 'zip-open');
  const back = editStep(closed, 'lay-back', { op: { ...opOf(closed, 'lay-back'), face: 'up' } });
  const loose = editStep(back, 'lay-back-lining', {
    op: { ...opOf(back, 'lay-back-lining'), hold: { by: 'nothing' } }
  });
  const metal = {
    ...loose,
    pieces: loose.pieces.map((piece) =>
      piece.id === 'zip'
        ? { ...piece, material: { kind: 'metal-zip' as const, name: 'Metal zip', colour: '#8f8a80' } }
        : piece
    )
  };
  return metal;
}

function opOf(item: Item, stepId: string): Extract<NonNullable<ReturnType<typeof layOf>>, { do: 'lay' }> {
  const op = layOf(item, stepId);
  if (op?.do !== 'lay') throw new Error(`${stepId} lays nothing.`);
  return op;
}

function layOf(
  item: Item,
  stepId: string
): Extract<Item['steps'][number], { kind: 'hand' }>['op'] | undefined {
  const step = item.steps.find(({ id }) => id === stepId);
  return step?.kind === 'hand' ? step.op : undefined;
}
