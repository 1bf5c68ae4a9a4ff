import { type Item, Operation, type OperationKind } from '$lib/core/documents/item';

/** What a hand step is called when it is chosen from a list, in the order of the work. */
export const OPERATION_LABELS: Record<OperationKind, string> = {
  'press-folds': 'Press folds before the start',
  hoop: 'Hoop',
  'hoop-on': 'Put the hoop on',
  'hoop-off': 'Take the hoop off',
  'turn-over': 'Turn the hoop over',
  'frame-forward': 'Bring the frame forward',
  lay: 'Lay a piece',
  float: 'Float a piece',
  lift: 'Lift a piece out',
  tape: 'Tape',
  untape: 'Take tape off',
  spray: 'Spray',
  glue: 'Glue inside a line',
  pin: 'Pin',
  unpin: 'Take pins out',
  'align-holes': 'Take hard parts out and align the holes',
  fuse: 'Fuse',
  press: 'Press',
  flip: 'Flip at a seam',
  trim: 'Trim',
  'cut-away-behind': 'Cut away behind',
  'cut-through': 'Cut through',
  'patch-hole': 'Patch a hole',
  zip: 'Open or close a zip',
  'topping-on': 'Lay topping',
  'topping-off': 'Take topping off',
  thread: 'Thread a colour',
  bobbin: 'Change the bobbin',
  'wind-bobbin': 'Wind a bobbin',
  needle: 'Change the needle',
  speed: 'Change the speed',
  mount: 'Change the mounting position',
  trace: 'Trace the design',
  'insert-run': 'Run another file',
  snip: 'Snip tails and jumps',
  'check-under': 'Look under the hoop',
  inspect: 'Look before unhooping',
  unhoop: 'Unhoop',
  'tear-away': 'Tear stabiliser away',
  rinse: 'Rinse',
  wait: 'Wait',
  'fray-fluid': 'Seal a raw edge',
  'heat-adhesive': 'Iron adhesive on',
  'cut-roughly': 'Cut roughly',
  'cut-out': 'Cut out',
  clip: 'Clip curves',
  'turn-through': 'Turn through an opening',
  'close-opening': 'Close an opening',
  'join-parts': 'Join parts by their loops',
  punch: 'Punch holes',
  hardware: 'Set snaps, eyelets, rings',
  'set-up': 'Set up a job',
  other: 'Something else'
};

/** Answers a fresh operation starts with; what it does not name is not asked of its kind. */
const START: Partial<Record<OperationKind, Record<string, unknown>>> = {
  lay: { side: 'above', face: 'up', over: 12, hold: { by: 'tape', strips: 4 } },
  tape: { strips: 4 },
  untape: { strips: 4 },
  float: { side: 'below' },
  mount: { position: 2 },
  pin: { pins: 4 },
  'press-folds': { fold: 12 },
  trim: { side: 'outside', margin: 2, where: 'hoop-off' },
  zip: { to: 'three-quarters' },
  needle: { needle: 'new 75/11' },
  speed: { spm: 350 },
  'insert-run': { fileName: 'the name', threadId: undefined, pieceId: undefined, lineId: undefined },
  snip: { side: 'front', jumps: 2 },
  wait: { why: 'glue' },
  'cut-roughly': { margin: 15 },
  'cut-out': { margin: 3 },
  'turn-through': { pieceId: undefined },
  'close-opening': { by: 'hand' },
  'join-parts': { loops: 4 },
  punch: { holes: 1 },
  hardware: { kind: 'snap', count: 1 },
  other: { title: 'Do something else', seconds: 30 }
};

/**
 * A fresh operation of a kind with the usual answers, naming the item’s first piece, line and thread.
 *
 * @returns undefined when the item lacks what the kind must name, as a piece to lay
 *
 * @example
 * newOperation('speed', item) // { do: 'speed', spm: 350 }
 */
export function newOperation(kind: OperationKind, item: Item): Operation | undefined {
  const piece = item.pieces[0]?.id;
  const found = Operation.safeParse({
    // Keys a kind does not have are dropped by its schema.
    pieceId: piece,
    pieceIds: piece === undefined ? undefined : [piece],
    lineId: item.lines[0]?.id,
    threadId: item.threads[0]?.id,
    covers: item.lines[0]?.id,
    ...START[kind],
    do: kind
  });
  return found.success ? found.data : undefined;
}
