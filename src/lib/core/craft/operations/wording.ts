import { formatLength, type LengthUnit } from '$lib/core/base/units';
import {
  type EdgeOnLine,
  type Face,
  findLine,
  findPiece,
  findThread,
  type Hold,
  type Item,
  type Operation,
  type OperationKind,
  type OperationOf
} from '$lib/core/documents/item';
import type { HoopState } from '$lib/core/documents/plan';

/** What an operation is said with: a title that reads from two metres, and one or two sentences. */
export interface Wording {
  title: string;
  detail: string;
}

/** What the words depend on besides the operation. */
export interface WordingContext {
  item: Item;
  unit: LengthUnit;
  /** The hoop while the step is done. */
  hoop: HoopState;
  /** Where a file run in between leaves this one, and where it goes on. */
  leaving?: { leaveAfter: number | null; resumeAt: number | null; catchIt: boolean };
}

type Writer<K extends OperationKind> = (op: OperationOf<K>, context: WordingContext) => Wording;

/**
 * The words of a hand step, made from its operation alone, so that the sheet can never say one thing and
 * mean another. Faces are said as the maker sees them: a piece whose right side is down in the model is
 * “right side to you” when the hoop is turned over.
 *
 * @example
 * wordingOf(layBack, { item, unit: 'mm', hoop: { where: 'off', turned: true } }).title
 * // 'Lay BACK, right side to you'
 */
export function wordingOf(op: Operation, context: WordingContext): Wording {
  // The table below has a writer for each kind; the kind that picks it is the kind of `op`.
  const write = WRITERS[op.do] as Writer<OperationKind>;
  return write(op, context);
}

const say = (title: string, detail = ''): Wording => ({ title, detail });

const WRITERS: { [K in OperationKind]: Writer<K> } = {
  'set-up': () =>
    say(
      'Set up the job',
      'Load the file. Check that hoop, copies and needle colours are the ones on this sheet.'
    ),
  hoop: (op, context) =>
    say(
      `Hoop ${names(op.pieceIds, context)}`,
      op.sticky
        ? 'Paper side up, drum-tight. Score the paper inside the ring and peel it.'
        : 'Drum-tight, caught by the ring on all four edges. Line up the arrows of the ring.'
    ),
  unhoop: () => say('Unhoop', 'Registration is lost from here: be sure every stop is done.'),
  'hoop-on': (_, { hoop }) =>
    hoop.turned
      ? say('Put the hoop on', 'It is still turned over: turn it back first.')
      : say(
          'Put the hoop on',
          'Seat it fully. Feel underneath that nothing is folded. Watch the first stitches.'
        ),
  'hoop-off': () => say('Take the hoop off', 'Leave everything in the ring.'),
  'turn-over': (_, { hoop }) =>
    hoop.turned
      ? say('Turn the hoop back', 'Front of the hoop up again. Keep what lies underneath flat.')
      : say('Turn the hoop over', 'Left to right. The back of the work now faces you.'),
  'frame-forward': () => say('Bring the frame forward', 'The hoop stays on.'),
  lay: writeLay,
  tape: (op, context) => say(`Tape ${name(op.pieceId, context)}`, tapeWords(op.strips)),
  untape: (op) => say('Take the tape off', `${op.strips} strips. Pull along the stitching, not across it.`),
  spray: (op, context) =>
    say(`Spray ${name(op.pieceId, context)}`, 'Lightly, on its wrong side, away from the machine.'),
  glue: (op, context) =>
    say(
      `Glue inside the ${line(op.lineId, context)}`,
      `For ${name(op.pieceId, context)}. Keep the glue off the stitching line.`
    ),
  pin: (op, context) => say(`Pin ${name(op.pieceId, context)}`, `${op.pins} pins, outside the stitching.`),
  unpin: () => say('Take every pin out', 'Count them.'),
  fuse: (op, context) => say(`Fuse ${name(op.pieceId, context)}`, 'Press, do not slide.'),
  press: ({ from }) => say('Press', from === 'back' ? 'From the back only.' : ''),
  'press-folds': ({ fold, pieceId, alsoIds = [] }, context) =>
    say(
      `Press ${length(fold, context)} under on ${names([pieceId, ...alsoIds], context)}`,
      'Before you start.'
    ),
  flip: (op, context) =>
    say(
      `Flip ${name(op.pieceId, context)}`,
      `Take the tape off first. Fold it over at the ${line(op.lineId, context)} and finger-press along the seam.`
    ),
  trim: (op, context) =>
    say(
      `Trim ${names(op.pieceIds, context)}`,
      `${op.margin === 0 ? 'Close' : `Leave ${length(op.margin, context)}`} ${op.side} the ${line(op.lineId, context)}. ${
        op.where === 'on-machine' ? 'The hoop stays on.' : 'Hoop off, on the table.'
      }`
    ),
  'cut-away-behind': (op, context) =>
    say(
      `Cut ${names(op.pieceIds, context)} away behind`,
      `Inside the ${line(op.lineId, context)}, from the back.`
    ),
  'cut-through': (op, context) =>
    say(
      `Cut through ${names(op.pieceIds, context)}`,
      `Just inside the ${line(op.lineId, context)}, on a mat.`
    ),
  'patch-hole': (op, context) =>
    say(
      'Patch the hole',
      `Lay ${name(op.pieceId, context)} over the ${line(op.lineId, context)} and cover it fully.`
    ),
  zip: (op, context) =>
    op.to === 'closed'
      ? say(`Close ${name(op.pieceId, context)}`)
      : say(
          `Open ${name(op.pieceId, context)}${op.to === 'three-quarters' ? ' three quarters' : ''}`,
          'You turn the work through it later.'
        ),
  'topping-on': (op, context) =>
    say(`Lay ${name(op.pieceId, context)} on top`, 'Over all of the stitching to come.'),
  'topping-off': (op, context) =>
    say(`Take ${name(op.pieceId, context)} off`, 'Tear it, then dab the rest away.'),
  thread: (op, context) =>
    say(
      `Thread ${findThread(context.item, op.threadId)?.name ?? 'the next colour'}`,
      'Cut at the spool, pull the tail out through the needle, thread. Hold the tail for the first stitches.'
    ),
  bobbin: (op, context) =>
    say(
      op.threadId
        ? `Change the bobbin: ${findThread(context.item, op.threadId)?.name ?? 'matching'}`
        : 'Put in a full bobbin',
      'The work stays in the hoop.'
    ),
  'wind-bobbin': (op, context) =>
    say(
      `Wind a bobbin${op.threadId ? `: ${findThread(context.item, op.threadId)?.name ?? ''}` : ''}`,
      'Wind it full.'
    ),
  needle: (op) => say(`Change the needle: ${op.needle}`, 'Flat side where it belongs, pushed up fully.'),
  speed: (op) => say(`Set the speed to ${op.spm}`, 'Stitches a minute.'),
  trace: () => say('Trace the design', 'Watch that the needle stays inside the ring.'),
  'insert-run': (op, context) => say(`Run “${op.fileName}”`, runWords(op, context)),
  float: (op, context) =>
    say(
      `Float ${name(op.pieceId, context)}${faceTitle(op.pieceId, op.face, context)}`,
      op.side === 'below'
        ? 'Slide it flat under the hoop; the ring does not clamp it.'
        : 'Lay it flat; the ring does not clamp it.'
    ),
  lift: (op, context) =>
    say(
      `Lift ${name(op.pieceId, context)} out`,
      'Ease it off the stabiliser; the stabiliser stays in the ring.'
    ),
  mount: (op) =>
    say(
      `Move the hoop to mounting position ${op.position}`,
      'The work stays hooped. Check the space behind the machine.'
    ),
  'align-holes': (op, context) =>
    say(
      `Take every hard part out of ${name(op.pieceId, context)}`,
      'Then line up the holes of all its layers.'
    ),
  'join-parts': (op) =>
    say(
      `Join the parts at ${op.loops} loops`,
      'From the middle part outwards: pull each button through its loop with a clamp.'
    ),
  snip: (op) => {
    const where = { front: 'on the front', back: 'on the back', both: 'on both sides' }[op.side];
    return say(`Snip tails and jumps ${where}`, op.jumps > 0 ? `About ${op.jumps}.` : '');
  },
  inspect: () =>
    say('Look before you unhoop', 'Front and back: a stop can still run again now. Afterwards it cannot.'),
  'check-under': () => say('Look under the hoop', 'Nothing folded, nothing caught.'),
  'tear-away': () =>
    say('Tear the stabiliser away', 'Hold the stitches down with your thumb and tear towards them.'),
  rinse: () =>
    say('Rinse', 'Warm water, until it no longer feels slippery. Keep what dissolves out of the drain.'),
  wait: (op) => WAIT_WORDS[op.why],
  'fray-fluid': (op, context) =>
    say('Seal the edge', `Run fray fluid along the ${line(op.lineId, context)}, before you cut.`),
  'heat-adhesive': (op, context) =>
    say(
      `Iron ${name(op.pieceId, context)} to the back`,
      'Patch face down on a sheet, rough side to its back. The paper stays on.'
    ),
  'cut-roughly': (op, context) =>
    say('Cut roughly', `About ${length(op.margin, context)} outside the ${line(op.lineId, context)}.`),
  'cut-out': (op, context) =>
    say(
      'Cut out',
      `${length(op.margin, context)} outside the ${line(op.lineId, context)}, all round. Do not touch a thread.`
    ),
  clip: (op, context) =>
    say('Clip the curves', `Along the ${line(op.lineId, context)}, up to the seam but not into it.`),
  'turn-through': (op, context) =>
    op.pieceId === undefined
      ? say(
          `Turn through the opening${op.lineId === undefined ? '' : ` of the ${line(op.lineId, context)}`}`,
          'Push the corners out with something blunt, never scissors.'
        )
      : say(
          `Turn through ${name(op.pieceId, context)}`,
          'Push the corners out with something blunt, never scissors.'
        ),
  'close-opening': (op, context) =>
    say(
      `Close the opening of the ${line(op.lineId, context)} by ${op.by}`,
      'Tuck the edges in, hold them with clips, press, close.'
    ),
  punch: (op) => say(op.holes === 1 ? 'Punch the hole' : `Punch ${op.holes} holes`, 'At the marks.'),
  hardware: writeHardware,
  other: (op) => say(op.title)
};

function writeLay(op: OperationOf<'lay'>, context: WordingContext): Wording {
  const face = faceTitle(op.pieceId, op.face, context);
  const cover = op.edge
    ? `Its edge ${length(op.edge.allowance, context)} over the ${line(op.edge.lineId, context)}, the rest ${bodyWords(op.edge.body, context.hoop)}.`
    : op.covers && op.over > 0
      ? `Cover the ${line(op.covers, context)} by ${length(op.over, context)} all round.`
      : op.covers
        ? `Exactly inside the ${line(op.covers, context)}.`
        : 'Where the line shows.';
  const where = op.side === 'below' && !context.hoop.turned ? ' Slide it under the hoop.' : '';
  return say(`Lay ${name(op.pieceId, context)}${face}`, `${cover}${where} ${holdWords(op.hold)}`.trim());
}

function faceTitle(pieceId: string, face: Face, context: WordingContext): string {
  return findPiece(context.item, pieceId)?.shows === 'nothing' ? '' : `, ${faceWords(face, context.hoop)}`;
}

/** Which side of a line, as the maker holds the hoop. */
function bodyWords(body: EdgeOnLine['body'], hoop: HoopState): string {
  const words = { left: 'to the left of it', right: 'to the right of it', up: 'above it', down: 'below it' };
  const across = { left: 'right', right: 'left', up: 'up', down: 'down' } as const;
  return words[hoop.turned ? across[body] : body];
}

function writeHardware(op: OperationOf<'hardware'>): Wording {
  const many = op.count > 1;
  switch (op.kind) {
    case 'snap':
      return say(
        many ? `Set ${op.count} snaps` : 'Set the snap',
        'Each takes 2 caps, 1 socket, 1 stud. Test on a scrap first.'
      );
    case 'eyelet':
      return say(many ? `Set ${op.count} eyelets` : 'Set the eyelet', 'The flange goes on the front.');
    case 'hook-and-loop':
      return say('Sew the hook-and-loop on', 'Rounded corners, soft side towards the skin.');
    case 'split-ring':
      return say(many ? 'Put the rings on' : 'Put the ring on');
    case 'ribbon-loop':
      return say(many ? 'Put the ribbon loops on' : 'Put the ribbon loop on');
  }
}

/** Where to leave the file, and where to go on in it. */
function runWords(op: OperationOf<'insert-run'>, { item, leaving }: WordingContext): string {
  const where = op.pieceId === undefined ? '' : ` on ${findPiece(item, op.pieceId)?.name ?? 'the work'}`;
  const left = leaving?.leaveAfter ?? null;
  const next = leaving?.resumeAt ?? null;
  const leave =
    left === null ? 'Leave this file before its first stop.' : `Leave this file after stop ${left}.`;
  const caught = leaving?.catchIt ? ' It does not halt there: be ready to catch the machine.' : '';
  const on =
    next === null ? 'then go on with the steps below.' : `load this file again and go to stop ${next}.`;
  return `${leave}${caught} Load “${op.fileName}”, stitch it${where}, ${on}`;
}

const WAIT_WORDS: Record<OperationOf<'wait'>['why'], Wording> = {
  'fray-fluid': say('Let the edge dry', 'Cut only when the fray fluid no longer feels damp.'),
  glue: say('Let the glue set'),
  soak: say('Let it soak', 'Flat, in warm water.'),
  dry: say('Let it dry', 'Flat, overnight.')
};

/** The face of a piece as the maker sees it, the hoop held as it is. */
function faceWords(face: Face, hoop: HoopState): string {
  return (face === 'up') !== hoop.turned ? 'right side to you' : 'face down';
}

function holdWords(hold: Hold): string {
  switch (hold.by) {
    case 'tape':
      return tapeWords(hold.strips);
    case 'pins':
      return `Pin it with ${hold.pins} pins, outside the stitching.`;
    case 'spray':
      return 'Spray its wrong side first, away from the machine.';
    case 'glue':
      return 'A little glue, inside the line.';
    case 'fuse':
      return 'Fuse it: press, do not slide.';
    case 'nothing':
      return '';
  }
}

function tapeWords(strips: number): string {
  return strips === 4
    ? 'Tape all four corners, outside the stitching.'
    : `Tape it with ${strips} strips, outside the stitching.`;
}

function name(pieceId: string, { item }: WordingContext): string {
  return findPiece(item, pieceId)?.name ?? 'a piece that is gone';
}

function names(pieceIds: string[], context: WordingContext): string {
  return new Intl.ListFormat('en-GB').format(pieceIds.map((id) => name(id, context))) || 'nothing';
}

function line(lineId: string, { item }: WordingContext): string {
  return findLine(item, lineId)?.name.toLowerCase() ?? 'line that is gone';
}

function length(mm: number, { unit }: WordingContext): string {
  return formatLength(mm, unit);
}
