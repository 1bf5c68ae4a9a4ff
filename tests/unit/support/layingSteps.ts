import type { Operation } from '$lib/core/documents/item';
import type { Mark } from '$lib/core/documents/plan';

/**
 * A hand step with its words, its mark, its time in seconds from the craft’s own figures, and a word of the
 * caution that belongs to it. The item is the badger tab: its outline is 22.22 cm round.
 */
export interface Expected {
  op: Operation;
  title: string;
  detail: RegExp;
  mark: Mark;
  seconds: number;
  caution?: RegExp;
}

/** Two straight sides of 64 mm and one turn of 30 mm diameter. */
export const OUTLINE_CM = (128 + 30 * Math.PI) / 10;
const tape = { by: 'tape', strips: 4 } as const;

/** Steps that hoop, lay, hold and trim. */
export const LAYING_STEPS: Expected[] = [
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
    op: { do: 'frame-back' },
    title: 'Send the frame back',
    detail: /in its way/,
    mark: 'move',
    seconds: 5,
    caution: /carriage/
  },
  {
    op: { do: 'back-cloth', pieceIds: ['front', 'back'] },
    title: 'Fuse interfacing to FRONT and BACK',
    detail: /wrong side/,
    mark: 'heat',
    seconds: 90,
    caution: /Hot iron/
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
    op: {
      do: 'lay',
      pieceId: 'back',
      side: 'above',
      face: 'up',
      over: 0,
      hold: { by: 'pins', pins: 3, away: 12 }
    },
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
    op: { do: 'pin', pieceId: 'front', pins: 6, away: 12 },
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
  {
    op: { do: 'press', from: 'front' },
    title: 'Press',
    detail: /^$/,
    mark: 'heat',
    seconds: 45,
    caution: /Hot iron/
  },
  {
    op: { do: 'press', from: 'back' },
    title: 'Press',
    detail: /From the back only/,
    mark: 'heat',
    seconds: 45,
    caution: /Hot iron/
  },
  {
    op: {
      do: 'lay',
      pieceId: 'front',
      side: 'above',
      face: 'down',
      over: 0,
      edge: { lineId: 'outline', body: 'down', allowance: 12 },
      hold: { by: 'nothing' }
    },
    title: 'Lay FRONT, face down',
    detail: /Its edge 12 mm over the outline, the rest below it/,
    mark: 'lay',
    seconds: 30
  },
  {
    op: { do: 'float', pieceId: 'back', side: 'below', face: 'up' },
    title: 'Float BACK, right side to you',
    detail: /under the hoop; the ring does not clamp it/,
    mark: 'lay',
    seconds: 30
  },
  {
    op: { do: 'lift', pieceId: 'front' },
    title: 'Lift FRONT out',
    detail: /stays in the ring/,
    mark: 'lay',
    seconds: 30
  },
  {
    op: { do: 'align-holes', pieceId: 'front' },
    title: 'Take every hard part out of FRONT',
    detail: /line up the holes/,
    mark: 'look',
    seconds: 60
  },
  {
    op: { do: 'mark-middle', pieceId: 'front' },
    title: 'Find and mark the middle of the design',
    detail: /^In the middle of FRONT\.$/,
    mark: 'look',
    seconds: 60
  },
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
    op: { do: 'trim', pieceIds: ['front'], lineId: 'outline', side: 'outside', margin: 0 },
    title: 'Trim FRONT',
    detail: /^Close outside the outline\.$/,
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
      margin: 3
    },
    title: 'Trim FRONT and BACK',
    detail: /^Leave 3 mm outside the outline\.$/,
    mark: 'cut',
    // 3 mm further out the line is 6 pi mm longer.
    seconds: 30 + 1.2 * (OUTLINE_CM + 0.6 * Math.PI),
    caution: /Cap the blade/
  },
  {
    op: { do: 'baste', lineId: 'outline', stitches: 60 },
    title: 'Stitch the machine’s own basting box',
    detail: /no stop of the file does it/,
    mark: 'machine',
    seconds: 5,
    caution: /needle/
  }
];
