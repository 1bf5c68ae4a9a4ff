import { z } from 'zod';

/**
 * Times of hand steps in seconds, with the defaults of someone practised; every one can be changed, and
 * runs will correct them. `per` says what a time is multiplied with.
 */
const TABLE = {
  setUp: ['Set up a job, single needle', 90],
  setUpMulti: ['Set up a job, multi-needle', 240],
  loadFile: ['Load another file', 30],
  hoopOneLayer: ['Hoop one layer', 120],
  hoopTwoLayers: ['Hoop two or more layers', 180],
  hoopSticky: ['Hoop sticky stabiliser, score and peel', 150],
  hoopOn: ['Put the hoop on', 20],
  hoopOff: ['Take the hoop off', 15],
  turnOver: ['Turn the hoop over', 10],
  frameForward: ['Bring the frame forward', 5],
  lay: ['Lay a piece', 30],
  tapeStrip: ['Tape, each strip', 8],
  tapeLeast: ['Tape, at least', 25],
  untapeStrip: ['Untape, each strip', 4],
  spray: ['Spray', 30],
  glue: ['Glue inside a line', 45],
  fuse: ['Fuse or press in the hoop', 45],
  pin: ['Pin or unpin', 20],
  flip: ['Flip and finger-press', 20],
  trim: ['Trim close', 30],
  trimPerCm: ['Trim close, each cm more', 1.2],
  cutAway: ['Cut away behind', 60],
  inspect: ['Look before unhooping', 45],
  rethread: ['Re-thread a needle', 70],
  snipTail: ['Stitch a few, halt, snip the tail', 15],
  snipJump: ['Snip a jump stitch', 4],
  bobbin: ['Change the bobbin', 60],
  bobbinHoopOff: ['Change the bobbin, hoop off', 90],
  windBobbin: ['Wind a bobbin', 90],
  needle: ['Change the needle', 60],
  speed: ['Change the speed', 5],
  trace: ['Trace the design', 30],
  checkUnder: ['Look under the hoop', 10],
  goToStop: ['Send the machine to another stop', 15],
  resumeAt: ['Look and resume at a stitch number', 120],
  toppingOn: ['Lay topping', 30],
  toppingOff: ['Remove topping', 60],
  unhoop: ['Unhoop', 30],
  tearAway: ['Tear away stabiliser', 60],
  cutOut: ['Cut out', 30],
  cutOutPerCm: ['Cut out, each cm more', 1.5],
  frayFluid: ['Run fray fluid along the edge', 60],
  clip: ['Clip a curve, each clip', 1.5],
  turn: ['Turn through an opening', 180],
  turnAgain: ['Turn again through the zip', 120],
  closeByHand: ['Close an opening by hand', 240],
  closeByMachine: ['Close an opening by machine', 90],
  punch: ['Punch a hole', 15],
  alignHoles: ['Take hard parts out, align holes', 60],
  snap: ['Set a snap', 40],
  eyelet: ['Set an eyelet', 30],
  joinLoop: ['Join two parts, each loop', 45],
  ring: ['Put on a ring or loop', 15],
  hookAndLoop: ['Sew a pair of hook-and-loop on by hand', 180],
  rinse: ['Rinse', 180],
  press: ['Press', 90],
  waitFray: ['Wait for fray fluid', 300],
  waitGlue: ['Wait for glue', 300],
  waitSoak: ['Wait while it soaks', 10_800],
  waitDry: ['Wait while it dries', 36_000]
} as const satisfies Record<string, readonly [label: string, seconds: number]>;

export type HandTimeKey = keyof typeof TABLE;
export const HAND_TIME_KEYS = Object.keys(TABLE) as HandTimeKey[];

/** What the shop screen calls a hand time. */
export function handTimeLabel(key: HandTimeKey): string {
  return TABLE[key][0];
}

const isKey = (key: string): key is HandTimeKey => Object.hasOwn(TABLE, key);

/**
 * What a part of a step is called, also one that is no hand time of the shop.
 *
 * @example
 * workName('lay') // 'Lay a piece'
 */
export function workName(key: string): string {
  return isKey(key) ? handTimeLabel(key) : 'Something else';
}

export const DEFAULT_HAND_TIMES = Object.fromEntries(
  HAND_TIME_KEYS.map((key) => [key, TABLE[key][1]])
) as Record<HandTimeKey, number>;

const seconds = z.number().min(0).max(200_000);

/** Hand times of a shop; a time a file does not have takes the default. */
export const HandTimes = z
  .partialRecord(z.enum(HAND_TIME_KEYS as [HandTimeKey, ...HandTimeKey[]]), seconds)
  .transform((times): Record<HandTimeKey, number> => ({ ...DEFAULT_HAND_TIMES, ...times }));
export type HandTimes = Record<HandTimeKey, number>;
