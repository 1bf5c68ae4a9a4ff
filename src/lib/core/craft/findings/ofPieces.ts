import { lengthIn, saying, sizeIn } from './saying';

/** Sayings about pieces: their size, their faces, what holds and catches them. */
export const PIECE_SAYINGS = {
  'ring/small': saying<{ piece: string; width: number; height: number; unit: string }>(
    'stop',
    ({ piece, ...ring }) =>
      `${piece} is smaller than the ring, ${sizeIn(ring)}, so not all four edges are caught.`,
    'Cut it 25 mm larger than the ring on every side.'
  ),
  'ring/off-thing': saying<{ piece: string; overMm: number; unit: string }>(
    'stop',
    ({ piece, overMm, unit }) =>
      `The ring reaches ${lengthIn(overMm, unit)} beyond the edge of ${piece}: it cannot hold it there.`,
    'Float it or stick it, take a smaller hoop, or place the design nearer its middle.'
  ),
  'faces/wrong-side': saying<{ piece: string }>(
    'stop',
    ({ piece }) => `${piece} ends with its wrong side out.`,
    'Lay it the other way up.'
  ),
  'faces/hidden': saying<{ piece: string; where: string }>(
    'stop',
    ({ piece, where }) => `${piece} should be seen ${where}, but another layer hides it.`,
    'Lay it on the other side of the hoop, or in another order.'
  ),
  'faces/never-turned': saying<{ pieces: string }>(
    'warn',
    ({ pieces }) => `${pieces} stay right sides together: nothing turns them right side out.`,
    'Put “Sew up outside the hoop: turn” after it, once nothing more is sewn from inside.'
  ),
  'faces/laid-otherwise': saying<{ piece: string }>(
    'stop',
    ({ piece }) => `${piece} is laid the other way up here than before.`,
    'Lay it the same way up every time.'
  ),
  'covering/uncovered': saying<{ piece: string; line: string; leastMm: number; unit: string }>(
    'stop',
    ({ piece, line }) => `${piece} does not cover the ${line} all round.`,
    ({ leastMm, unit }) => `Cut it larger: at least ${lengthIn(leastMm, unit)} over the line on every side.`
  ),
  'covering/short': saying<{ piece: string; line: string; spareMm: number; leastMm: number; unit: string }>(
    'warn',
    ({ piece, line, leastMm, unit }) =>
      `${piece} covers the ${line} by less than ${lengthIn(leastMm, unit)}.`,
    ({ leastMm, unit }) => `Cut it larger: at least ${lengthIn(leastMm, unit)} over the line on every side.`
  ),
  'covering/off-edge': saying<{ piece: string; overMm: number; unit: string }>(
    'stop',
    ({ piece, overMm, unit }) => `The design reaches ${lengthIn(overMm, unit)} beyond the edge of ${piece}.`,
    'Place it nearer the middle, make it smaller, or mend the size of what you have.'
  ),
  'covering/on-hem': saying<{ piece: string; overMm: number; unit: string }>(
    'warn',
    ({ piece, overMm, unit }) => `The design reaches ${lengthIn(overMm, unit)} on to the hem of ${piece}.`,
    'It is thick there: the foot rides up and needles break. Place it nearer the middle.'
  ),
  'covering/off-outline': saying<{ called: string }>(
    'warn',
    ({ called }) => `${called} reaches across the edge of the item: part of it is sewn over or cut off.`,
    'Move it inside, or make it smaller.'
  ),
  'covering/overlap': saying<{ part: string; other: string }>(
    'stop',
    ({ part, other }) => `${part} lies on ${other.toLowerCase()}: the two would be one.`,
    'Move them apart, or stitch them in a hooping each.'
  ),
  'caught/loose-end': saying<{ called: string; piece: string }>(
    'stop',
    ({ called, piece }) => `${called} would catch the loose end of ${piece} as well.`,
    'Roll it up or fold it back, clear of every seam but its own.'
  ),
  'caught/in-opening': saying<{ called: string; piece: string }>(
    'stop',
    ({ called, piece }) =>
      `${piece} lies in the opening that ${called.toLowerCase()} leaves: nothing catches it.`,
    'Move it along its side, or leave the opening elsewhere.'
  ),
  'caught/by-nothing': saying<{ piece: string }>(
    'stop',
    ({ piece }) => `No stitch has caught ${piece} since it was laid.`,
    'Add the stop that fixes it, or lay it before that stop.'
  ),
  'caught/never-laid': saying<{ piece: string }>(
    'stop',
    ({ piece }) => `${piece} should be seen in the end, but no step puts it in the hoop.`,
    'Add the step that lays it, or take the piece off the list.'
  ),
  'caught/idle-hooping': saying<Record<string, never>>(
    'warn',
    () => 'Nothing is stitched in this hooping.',
    'Check which stops of your file belong here.'
  ),
  'holding/nothing': saying<{ piece: string }>(
    'stop',
    ({ piece }) => `Nothing holds ${piece} under the hoop while the hoop goes on.`,
    'Tape all four corners, outside the stitching.'
  ),
  'upper-tape/only-upper': saying<{ over: string; piece: string }>(
    'warn',
    ({ over, piece }) => `Only ${over} is held; ${piece} beneath it can shift.`,
    'Tape both layers, each by itself.'
  ),
  'upper-tape/nothing': saying<{ piece: string }>(
    'warn',
    ({ piece }) => `Nothing holds ${piece} when it is stitched.`,
    'Tape, spray or pin it first.'
  ),
  'sliding/folds': saying<{ piece: string }>(
    'warn',
    ({ piece }) => `${piece} can fold under the hoop while it slides on.`,
    'Support it, and look underneath before the next stop.'
  ),
  'taped-flip/tape': saying<{ piece: string }>(
    'warn',
    ({ piece }) => `Tape still holds ${piece} when it is flipped.`,
    'Take the tape off before the flip.'
  ),
  'taped-flip/pins': saying<{ piece: string }>(
    'warn',
    ({ piece }) => `Pins still hold ${piece} when it is flipped.`,
    'Take every pin off before the flip.'
  ),
  'template/wrong-way': saying<{ piece: string; wrongSideUp: boolean }>(
    'stop',
    ({ piece }) => `${piece} is cut the wrong way round for its line.`,
    ({ wrongSideUp }) =>
      wrongSideUp
        ? 'Cut wrong side up, the shape must be mirrored.'
        : 'Cut right side up, the shape must not be mirrored.'
  )
};
