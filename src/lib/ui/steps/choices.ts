import type { OperationKind } from '$lib/core/documents/item';

/** Arguments of an operation that are one of a few words, by `kind.key` or by key alone. */
const CHOICES: Record<string, Record<string, string>> = {
  'float.side': { above: 'On top', below: 'Underneath' },
  'press.from': { front: 'From the front', back: 'From the back only' },
  'lay.side': { above: 'On top', below: 'Underneath' },
  face: { up: 'Right side up, as stitched', down: 'Right side down, as stitched' },
  'trim.side': { outside: 'Outside the line', inside: 'Inside the line' },
  'trim.where': { 'hoop-off': 'Hoop off', 'on-machine': 'On the machine' },
  'snip.side': { front: 'Front', back: 'Back', both: 'Both sides' },
  'zip.to': { open: 'Open', 'three-quarters': 'Three quarters open', closed: 'Closed' },
  'wait.why': {
    'fray-fluid': 'Fray fluid dries',
    glue: 'Glue sets',
    soak: 'It soaks',
    dry: 'It dries overnight'
  },
  'close-opening.by': { hand: 'By hand', machine: 'By machine' },
  'hardware.kind': {
    snap: 'Snap',
    eyelet: 'Eyelet',
    'split-ring': 'Ring',
    'ribbon-loop': 'Ribbon loop',
    'hook-and-loop': 'Hook-and-loop'
  }
};

export const HOLDS: Record<string, string> = {
  tape: 'Tape',
  pins: 'Pins',
  spray: 'Spray',
  glue: 'Glue',
  fuse: 'Fusible',
  nothing: 'Nothing'
};

/** What an argument is called on the form, and how it is asked. */
export const ARGUMENTS: Record<
  string,
  {
    label: string;
    kind: 'piece' | 'pieces' | 'line' | 'thread' | 'choice' | 'length' | 'number' | 'text' | 'hold' | 'yes';
  }
> = {
  pieceId: { label: 'Piece', kind: 'piece' },
  pieceIds: { label: 'Pieces', kind: 'pieces' },
  lineId: { label: 'Line', kind: 'line' },
  covers: { label: 'Covers', kind: 'line' },
  threadId: { label: 'Thread', kind: 'thread' },
  side: { label: 'Side', kind: 'choice' },
  face: { label: 'Face', kind: 'choice' },
  where: { label: 'Where', kind: 'choice' },
  to: { label: 'To', kind: 'choice' },
  why: { label: 'Until', kind: 'choice' },
  by: { label: 'How', kind: 'choice' },
  kind: { label: 'What', kind: 'choice' },
  over: { label: 'Covers the line by', kind: 'length' },
  margin: { label: 'Distance from the line', kind: 'length' },
  fold: { label: 'Folded under', kind: 'length' },
  strips: { label: 'Strips of tape', kind: 'number' },
  pins: { label: 'Pins', kind: 'number' },
  jumps: { label: 'About how many', kind: 'number' },
  holes: { label: 'Holes', kind: 'number' },
  count: { label: 'How many', kind: 'number' },
  stitches: { label: 'Stitches', kind: 'number' },
  position: { label: 'Position', kind: 'number' },
  loops: { label: 'Loops', kind: 'number' },
  away: { label: 'Away from the stitching', kind: 'length' },
  from: { label: 'Iron', kind: 'choice' },
  spm: { label: 'Stitches a minute', kind: 'number' },
  seconds: { label: 'Seconds', kind: 'number' },
  title: { label: 'What to do', kind: 'text' },
  needle: { label: 'Needle', kind: 'text' },
  fileName: { label: 'File', kind: 'text' },
  hold: { label: 'Held by', kind: 'hold' },
  sticky: { label: 'Sticky stabiliser', kind: 'yes' }
};

/** The words to choose from for an argument. */
export function choicesOf(kind: OperationKind, key: string): [value: string, label: string][] {
  return Object.entries(CHOICES[`${kind}.${key}`] ?? CHOICES[key] ?? {});
}
