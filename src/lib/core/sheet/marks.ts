import { z } from 'zod';
import type { OperationKind } from '$lib/core/item';

/** The small mark a hand step carries on the ribbon and the sheet; several operations share one. */
export const MARKS = [
  'start',
  'hoop',
  'move',
  'turn',
  'lay',
  'hold',
  'heat',
  'fold',
  'cut',
  'thread',
  'bobbin',
  'machine',
  'look',
  'tear',
  'water',
  'wait',
  'fasten',
  'note'
] as const;
export const Mark = z.enum(MARKS);
export type Mark = z.infer<typeof Mark>;

const MARK_OF: Record<OperationKind, Mark> = {
  'set-up': 'start',
  hoop: 'hoop',
  unhoop: 'hoop',
  'hoop-on': 'move',
  'hoop-off': 'move',
  'frame-forward': 'move',
  'turn-over': 'turn',
  lay: 'lay',
  'patch-hole': 'lay',
  float: 'lay',
  lift: 'lay',
  'topping-on': 'lay',
  'topping-off': 'tear',
  tape: 'hold',
  untape: 'hold',
  spray: 'hold',
  glue: 'hold',
  pin: 'hold',
  unpin: 'hold',
  fuse: 'heat',
  press: 'heat',
  'press-folds': 'heat',
  'heat-adhesive': 'heat',
  flip: 'fold',
  'turn-through': 'fold',
  trim: 'cut',
  'cut-away-behind': 'cut',
  'cut-through': 'cut',
  'cut-roughly': 'cut',
  'cut-out': 'cut',
  clip: 'cut',
  snip: 'cut',
  punch: 'cut',
  thread: 'thread',
  bobbin: 'bobbin',
  'wind-bobbin': 'bobbin',
  needle: 'machine',
  speed: 'machine',
  trace: 'machine',
  mount: 'move',
  'insert-run': 'machine',
  zip: 'fasten',
  hardware: 'fasten',
  'close-opening': 'fasten',
  'align-holes': 'look',
  'join-parts': 'fasten',
  inspect: 'look',
  'check-under': 'look',
  'tear-away': 'tear',
  rinse: 'water',
  'fray-fluid': 'water',
  wait: 'wait',
  other: 'note'
};

/** The mark of an operation. */
export function markOf(kind: OperationKind): Mark {
  return MARK_OF[kind];
}
