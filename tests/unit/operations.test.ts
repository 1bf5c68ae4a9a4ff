import { newOperation, OPERATION_LABELS, type Operation } from '$lib/core/item';
import {
  cautionOf,
  HOOP_AT_START,
  hoopAfter,
  hoopWords,
  markOf,
  wordingOf,
  type HoopState,
  type Mark
} from '$lib/core/sheet';
import { DEFAULT_HAND_TIMES, type Machine } from '$lib/core/shop';
import { handTime } from '$lib/core/time';
import { expect } from 'chai';
import { badgerShop, badgerTab } from './support/badger';

/**
 * Every hand step the craft knows: its words, its mark, its time in seconds from the craft’s own figures,
 * and a word of the caution that belongs to it. The item is the badger tab: its outline is 22.22 cm round.
 */
interface Expected {
  op: Operation;
  title: string;
  detail: RegExp;
  mark: Mark;
  seconds: number;
  caution?: RegExp;
}

const OUTLINE_CM = (128 + 30 * Math.PI) / 10;
const tape = { by: 'tape', strips: 4 } as const;

const TABLE: Expected[] = [
  {
    op: { do: 'set-up' },
    title: 'Set up the job',
    detail: /hoop, copies and needle colours/,
    mark: 'start',
    seconds: 90
  },
  {
    op: { do: 'hoop', pieceIds: ['stabiliser'], sticky: false },
    title: 'Hoop STABILISER',
    detail: /Drum-tight.*all four edges/,
    mark: 'hoop',
    seconds: 120
  },
  {
    op: { do: 'hoop', pieceIds: ['stabiliser', 'back', 'front'], sticky: false },
    title: 'Hoop STABILISER, BACK and FRONT',
    detail: /all four edges/,
    mark: 'hoop',
    seconds: 180
  },
  {
    op: { do: 'hoop', pieceIds: ['stabiliser'], sticky: true },
    title: 'Hoop STABILISER',
    detail: /Score the paper/,
    mark: 'hoop',
    seconds: 150
  },
  { op: { do: 'unhoop' }, title: 'Unhoop', detail: /Registration is lost/, mark: 'hoop', seconds: 30 },
  {
    op: { do: 'hoop-on' },
    title: 'Put the hoop on',
    detail: /Seat it fully/,
    mark: 'move',
    seconds: 20,
    caution: /carriage will move/
  },
  { op: { do: 'hoop-off' }, title: 'Take the hoop off', detail: /in the ring/, mark: 'move', seconds: 15 },
  {
    op: { do: 'turn-over' },
    title: 'Turn the hoop over',
    detail: /Left to right/,
    mark: 'turn',
    seconds: 10
  },
  {
    op: { do: 'frame-forward' },
    title: 'Bring the frame forward',
    detail: /stays on/,
    mark: 'move',
    seconds: 5
  },
  {
    op: { do: 'lay', pieceId: 'front', side: 'above', face: 'down', covers: 'outline', over: 12, hold: tape },
    title: 'Lay FRONT, face down',
    detail: /^Cover the outline by 12 mm all round\. Tape all four corners, outside the stitching\.$/,
    mark: 'lay',
    seconds: 30 + 32
  },
  {
    op: { do: 'lay', pieceId: 'stabiliser', side: 'below', face: 'up', over: 0, hold: { by: 'nothing' } },
    title: 'Lay STABILISER',
    detail: /Slide it under the hoop/,
    mark: 'lay',
    seconds: 30
  },
  {
    op: { do: 'lay', pieceId: 'back', side: 'above', face: 'up', over: 0, hold: { by: 'spray' } },
    title: 'Lay BACK, right side to you',
    detail: /Spray its wrong side first, away from the machine/,
    mark: 'lay',
    seconds: 30 + 30,
    caution: /Open a window/
  },
  {
    op: { do: 'lay', pieceId: 'back', side: 'above', face: 'up', over: 0, hold: { by: 'pins', pins: 3 } },
    title: 'Lay BACK, right side to you',
    detail: /3 pins, outside the stitching/,
    mark: 'lay',
    seconds: 30 + 20,
    caution: /pin under the needle/
  },
  {
    op: { do: 'lay', pieceId: 'back', side: 'above', face: 'up', over: 0, hold: { by: 'glue' } },
    title: 'Lay BACK, right side to you',
    detail: /glue, inside the line/,
    mark: 'lay',
    seconds: 30 + 45
  },
  {
    op: { do: 'lay', pieceId: 'back', side: 'above', face: 'up', over: 0, hold: { by: 'fuse' } },
    title: 'Lay BACK, right side to you',
    detail: /press, do not slide/,
    mark: 'lay',
    seconds: 30 + 45
  },
  {
    op: { do: 'tape', pieceId: 'front', strips: 2 },
    title: 'Tape FRONT',
    detail: /2 strips, outside/,
    mark: 'hold',
    seconds: 25
  },
  {
    op: { do: 'untape', strips: 8 },
    title: 'Take the tape off',
    detail: /8 strips/,
    mark: 'hold',
    seconds: 32
  },
  {
    op: { do: 'spray', pieceId: 'front' },
    title: 'Spray FRONT',
    detail: /away from the machine/,
    mark: 'hold',
    seconds: 30,
    caution: /Open a window/
  },
  {
    op: { do: 'glue', pieceId: 'front', lineId: 'outline' },
    title: 'Glue inside the outline',
    detail: /For FRONT/,
    mark: 'hold',
    seconds: 45
  },
  {
    op: { do: 'pin', pieceId: 'front', pins: 6 },
    title: 'Pin FRONT',
    detail: /6 pins/,
    mark: 'hold',
    seconds: 20,
    caution: /count them/
  },
  { op: { do: 'unpin' }, title: 'Take every pin out', detail: /Count them/, mark: 'hold', seconds: 20 },
  {
    op: { do: 'fuse', pieceId: 'front' },
    title: 'Fuse FRONT',
    detail: /do not slide/,
    mark: 'heat',
    seconds: 45,
    caution: /Hot iron/
  },
  { op: { do: 'press' }, title: 'Press', detail: /^$/, mark: 'heat', seconds: 45, caution: /Hot iron/ },
  {
    op: { do: 'press-folds', pieceId: 'back', fold: 12 },
    title: 'Press 12 mm under on BACK',
    detail: /Before you start/,
    mark: 'heat',
    seconds: 90,
    caution: /never on the face of vinyl/
  },
  {
    op: { do: 'flip', pieceId: 'front', lineId: 'outline' },
    title: 'Flip FRONT',
    detail: /Fold it over at the outline/,
    mark: 'fold',
    seconds: 20
  },
  {
    op: { do: 'trim', pieceIds: ['front'], lineId: 'outline', side: 'outside', margin: 0, where: 'hoop-off' },
    title: 'Trim FRONT',
    detail: /^Close outside the outline\. Hoop off, on the table\.$/,
    mark: 'cut',
    seconds: 30 + 1.2 * OUTLINE_CM,
    caution: /Cut away from yourself/
  },
  {
    op: {
      do: 'trim',
      pieceIds: ['front', 'back'],
      lineId: 'outline',
      side: 'outside',
      margin: 3,
      where: 'on-machine'
    },
    title: 'Trim FRONT and BACK',
    detail: /^Leave 3 mm outside the outline\. The hoop stays on\.$/,
    mark: 'cut',
    // 3 mm further out the line is 6 pi mm longer.
    seconds: 30 + 1.2 * (OUTLINE_CM + 0.6 * Math.PI),
    caution: /Cap the blade/
  },
  {
    op: { do: 'cut-away-behind', pieceIds: ['stabiliser'], lineId: 'outline' },
    title: 'Cut STABILISER away behind',
    detail: /from the back/,
    mark: 'cut',
    seconds: 60,
    caution: /mat/
  },
  {
    op: { do: 'cut-through', pieceIds: ['front', 'stabiliser'], lineId: 'outline' },
    title: 'Cut through FRONT and STABILISER',
    detail: /Just inside the outline/,
    mark: 'cut',
    seconds: 30 + 1.5 * OUTLINE_CM,
    caution: /mat/
  },
  {
    op: { do: 'patch-hole', pieceId: 'front', lineId: 'outline' },
    title: 'Patch the hole',
    detail: /cover it fully/,
    mark: 'lay',
    seconds: 30
  },
  {
    op: { do: 'zip', pieceId: 'front', to: 'three-quarters' },
    title: 'Open FRONT three quarters',
    detail: /through it later/,
    mark: 'fasten',
    seconds: 10
  },
  {
    op: { do: 'zip', pieceId: 'front', to: 'closed' },
    title: 'Close FRONT',
    detail: /^$/,
    mark: 'fasten',
    seconds: 10
  },
  {
    op: { do: 'topping-on', pieceId: 'front' },
    title: 'Lay FRONT on top',
    detail: /stitching to come/,
    mark: 'lay',
    seconds: 30
  },
  {
    op: { do: 'topping-off', pieceId: 'front' },
    title: 'Take FRONT off',
    detail: /dab/,
    mark: 'tear',
    seconds: 60
  },
  {
    op: { do: 'thread', threadId: 'thread-4' },
    title: 'Thread Pink',
    detail: /Hold the tail/,
    mark: 'thread',
    seconds: 70 + 15,
    caution: /Halt the machine/
  },
  {
    op: { do: 'bobbin' },
    title: 'Put in a full bobbin',
    detail: /stays in the hoop/,
    mark: 'bobbin',
    seconds: 60,
    caution: /Halt the machine/
  },
  {
    op: { do: 'bobbin', threadId: 'thread-3' },
    title: 'Change the bobbin: White',
    detail: /hoop/,
    mark: 'bobbin',
    seconds: 60,
    caution: /Halt/
  },
  {
    op: { do: 'wind-bobbin', threadId: 'thread-3' },
    title: 'Wind a bobbin: White',
    detail: /full/,
    mark: 'bobbin',
    seconds: 90
  },
  {
    op: { do: 'needle', needle: '90/14' },
    title: 'Change the needle: 90/14',
    detail: /pushed up fully/,
    mark: 'machine',
    seconds: 60,
    caution: /Halt/
  },
  {
    op: { do: 'speed', spm: 350 },
    title: 'Set the speed to 350',
    detail: /minute/,
    mark: 'machine',
    seconds: 5
  },
  {
    op: { do: 'trace' },
    title: 'Trace the design',
    detail: /inside the ring/,
    mark: 'machine',
    seconds: 30,
    caution: /carriage/
  },
  {
    op: { do: 'insert-run', fileName: 'the name' },
    title: 'Run the name',
    detail: /load this one again/,
    mark: 'machine',
    seconds: 90 + 120
  },
  {
    op: { do: 'snip', side: 'both', jumps: 4 },
    title: 'Snip tails and jumps on both sides',
    detail: /About 4/,
    mark: 'cut',
    seconds: 16
  },
  {
    op: { do: 'inspect' },
    title: 'Look before you unhoop',
    detail: /can still run again now/,
    mark: 'look',
    seconds: 45
  },
  {
    op: { do: 'check-under' },
    title: 'Look under the hoop',
    detail: /Nothing folded/,
    mark: 'look',
    seconds: 10
  },
  { op: { do: 'tear-away' }, title: 'Tear the stabiliser away', detail: /thumb/, mark: 'tear', seconds: 60 },
  { op: { do: 'rinse' }, title: 'Rinse', detail: /out of the drain/, mark: 'water', seconds: 180 },
  { op: { do: 'wait', why: 'glue' }, title: 'Let the glue set', detail: /^$/, mark: 'wait', seconds: 0 },
  { op: { do: 'wait', why: 'dry' }, title: 'Let it dry', detail: /overnight/, mark: 'wait', seconds: 0 },
  {
    op: { do: 'fray-fluid', lineId: 'outline' },
    title: 'Seal the edge',
    detail: /before you cut/,
    mark: 'water',
    seconds: 60
  },
  {
    op: { do: 'heat-adhesive', pieceId: 'back' },
    title: 'Iron BACK to the back',
    detail: /The paper stays on/,
    mark: 'heat',
    seconds: 45,
    caution: /Hot iron/
  },
  {
    op: { do: 'cut-roughly', lineId: 'outline', margin: 15 },
    title: 'Cut roughly',
    detail: /About 15 mm outside the outline/,
    mark: 'cut',
    seconds: 30 + 1.5 * (OUTLINE_CM + 3 * Math.PI),
    caution: /mat/
  },
  {
    op: { do: 'cut-out', lineId: 'outline', margin: 3 },
    title: 'Cut out',
    detail: /3 mm outside the outline, all round/,
    mark: 'cut',
    seconds: 30 + 1.5 * (OUTLINE_CM + 0.6 * Math.PI),
    caution: /mat/
  },
  // A clip every 12 mm of 222.2 mm: 19 clips at 1.5 s.
  {
    op: { do: 'clip', lineId: 'outline' },
    title: 'Clip the curves',
    detail: /not into it/,
    mark: 'cut',
    seconds: 28.5
  },
  {
    op: { do: 'turn-through', opening: 'opening', times: 1 },
    title: 'Turn through the opening',
    detail: /never scissors/,
    mark: 'fold',
    seconds: 180
  },
  {
    op: { do: 'turn-through', opening: 'lining', times: 2 },
    title: 'Turn through the lining, twice',
    detail: /blunt/,
    mark: 'fold',
    seconds: 300
  },
  {
    op: { do: 'close-opening', opening: 'opening', by: 'hand' },
    title: 'Close the opening by hand',
    detail: /^$/,
    mark: 'fasten',
    seconds: 240
  },
  {
    op: { do: 'close-opening', opening: 'opening', by: 'machine' },
    title: 'Close the opening by machine',
    detail: /^$/,
    mark: 'fasten',
    seconds: 90
  },
  {
    op: { do: 'punch', holes: 2 },
    title: 'Punch 2 holes',
    detail: /At the marks/,
    mark: 'cut',
    seconds: 30,
    caution: /fingers away/
  },
  {
    op: { do: 'hardware', kind: 'snap', count: 2 },
    title: 'Set 2 snaps',
    detail: /2 caps, 1 socket, 1 stud/,
    mark: 'fasten',
    seconds: 80,
    caution: /under three/
  },
  {
    op: { do: 'hardware', kind: 'eyelet', count: 1 },
    title: 'Set the eyelet',
    detail: /flange/,
    mark: 'fasten',
    seconds: 30,
    caution: /under three/
  },
  {
    op: { do: 'hardware', kind: 'split-ring', count: 1 },
    title: 'Put the ring on',
    detail: /^$/,
    mark: 'fasten',
    seconds: 15
  },
  {
    op: { do: 'hardware', kind: 'ribbon-loop', count: 2 },
    title: 'Put the ribbon loops on',
    detail: /^$/,
    mark: 'fasten',
    seconds: 30
  },
  {
    op: { do: 'other', title: 'Brush the pile up', seconds: 40 },
    title: 'Brush the pile up',
    detail: /^$/,
    mark: 'note',
    seconds: 40
  }
];

describe('hand steps', () => {
  const tab = badgerTab();
  const machine = badgerShop().machines[0] as Machine;

  for (const { op, title, detail, mark, seconds, caution } of TABLE) {
    it(`${title} (${op.do})`, () => {
      const words = wordingOf(op, { item: tab, unit: 'mm', hoop: HOOP_AT_START });
      expect(words.title).to.equal(title);
      expect(words.detail).to.match(detail);
      expect(markOf(op.do)).to.equal(mark);
      expect(handTime(op, tab, DEFAULT_HAND_TIMES, machine).hands).to.be.closeTo(seconds, 0.05);
      if (caution) expect(cautionOf(op)).to.match(caution);
      else expect(cautionOf(op)).to.equal(undefined);
    });
  }

  it('are all here: each kind that can be added to a sheet is in the table', () => {
    const told = [...new Set(TABLE.map(({ op }) => op.do))].sort();
    expect(told).to.deep.equal(Object.keys(OPERATION_LABELS).sort());
    for (const kind of told) expect(newOperation(kind, tab), kind).to.not.equal(undefined);
  });

  it('have parts that add up to their time', () => {
    for (const { op } of TABLE) {
      const { hands, parts } = handTime(op, tab, DEFAULT_HAND_TIMES, machine);
      expect(
        parts.reduce((sum, part) => sum + part.seconds, 0),
        op.do
      ).to.be.closeTo(hands, 1e-9);
    }
  });

  it('wait as long as the craft says: fray fluid and glue 5 min, a soak 3 h, drying overnight 10 h', () => {
    const waits = (['fray-fluid', 'glue', 'soak', 'dry'] as const).map(
      (why) => handTime({ do: 'wait', why }, tab, DEFAULT_HAND_TIMES, machine).waiting / 60
    );
    expect(waits).to.deep.equal([5, 5, 180, 600]);
  });

  it('name what is gone instead of breaking', () => {
    const op: Operation = {
      do: 'trim',
      pieceIds: ['sleeve'],
      lineId: 'cuff',
      side: 'inside',
      margin: 2,
      where: 'hoop-off'
    };
    const words = wordingOf(op, { item: tab, unit: 'mm', hoop: HOOP_AT_START });
    expect(`${words.title} ${words.detail}`).to.match(/a piece that is gone.*line that is gone/);
    expect(handTime(op, tab, DEFAULT_HAND_TIMES, machine).hands).to.equal(30);
  });
});

describe('the hoop’s whereabouts', () => {
  const after = (...ops: Operation[]): HoopState => ops.reduce(hoopAfter, HOOP_AT_START);
  const hoop: Operation = { do: 'hoop', pieceIds: ['stabiliser'], sticky: false };

  it('follow what hands do', () => {
    expect(after(hoop)).to.deep.equal({ where: 'off', turned: false });
    expect(after(hoop, { do: 'hoop-on' })).to.deep.equal({ where: 'on', turned: false });
    expect(after(hoop, { do: 'hoop-on' }, { do: 'frame-forward' })).to.deep.equal({
      where: 'forward',
      turned: false
    });
    expect(after(hoop, { do: 'hoop-on' }, { do: 'hoop-off' }, { do: 'turn-over' })).to.deep.equal({
      where: 'off',
      turned: true
    });
    expect(after(hoop, { do: 'turn-over' }, { do: 'unhoop' })).to.deep.equal({
      where: 'unhooped',
      turned: false
    });
  });
  it('are not changed by any other step', () => {
    const movers = ['hoop', 'unhoop', 'hoop-on', 'hoop-off', 'turn-over', 'frame-forward'];
    const state: HoopState = { where: 'off', turned: true };
    for (const { op } of TABLE)
      if (!movers.includes(op.do)) expect(hoopAfter(state, op), op.do).to.equal(state);
  });
  it('are said in words', () => {
    expect(
      [
        HOOP_AT_START,
        after(hoop),
        after(hoop, { do: 'hoop-on' }),
        after(hoop, { do: 'turn-over' }),
        after(hoop, { do: 'unhoop' })
      ].map(hoopWords)
    ).to.deep.equal([
      'Nothing hooped yet',
      'Hoop off',
      'Hoop on the machine',
      'Hoop off, turned over',
      'Out of the hoop'
    ]);
  });
  it('warn when a hoop still turned over is put on', () => {
    const words = wordingOf(
      { do: 'hoop-on' },
      { item: badgerTab(), unit: 'mm', hoop: after(hoop, { do: 'turn-over' }) }
    );
    expect(words.detail).to.match(/turn it back first/);
  });
});
