import { formatLength, type LengthUnit } from '$lib/core/base/units';
import {
  type EdgeOnLine,
  type Face,
  findLine,
  findPiece,
  type Hold,
  type Item,
  type OperationOf
} from '$lib/core/documents/item';
import { bendsAlong } from './time';
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

/** A wording from its two parts. */
export function say(title: string, detail = ''): Wording {
  return { title, detail };
}

/** A piece laid: which face, what it covers, what holds it. */
export function writeLay(op: OperationOf<'lay'>, context: WordingContext): Wording {
  const face = faceTitle(op.pieceId, op.face, context);
  const cover = op.edge
    ? `Its edge ${op.edge.allowance === 0 ? 'on' : `${lengthWords(op.edge.allowance, context)} over`} the ${line(op.edge.lineId, context)}, the rest ${bodyWords(op.edge.body, context.hoop)}.`
    : op.covers && op.over > 0
      ? `Cover the ${line(op.covers, context)} by ${lengthWords(op.over, context)} all round.`
      : op.covers
        ? `Exactly inside the ${line(op.covers, context)}.`
        : findPiece(context.item, op.pieceId)?.readyMade
          ? 'Its marks on the middle of the hoop.'
          : 'Where the line shows.';
  const where = op.side === 'below' && !context.hoop.turned ? ' Slide it under the hoop.' : '';
  return say(`Lay ${name(op.pieceId, context)}${face}`, `${cover}${where} ${holdWords(op.hold)}`.trim());
}

/** The face of a piece, where it has one that matters. */
export function faceTitle(pieceId: string, face: Face, context: WordingContext): string {
  return findPiece(context.item, pieceId)?.shows === 'nothing' ? '' : `, ${faceWords(face, context.hoop)}`;
}

/** Which side of a line, as the maker holds the hoop. */
function bodyWords(body: EdgeOnLine['body'], hoop: HoopState): string {
  const words = { left: 'to the left of it', right: 'to the right of it', up: 'above it', down: 'below it' };
  const across = { left: 'right', right: 'left', up: 'up', down: 'down' } as const;
  return words[hoop.turned ? across[body] : body];
}

/** Where the middle of the design stands on a thing, as it lies before the maker. */
export function writeMiddle({ pieceId }: OperationOf<'mark-middle'>, context: WordingContext): Wording {
  const thing = findPiece(context.item, pieceId)?.readyMade;
  const on = name(pieceId, context);
  const { right, towards } = thing ?? { right: 0, towards: 0 };
  const away = [
    ...(right === 0
      ? []
      : [`${lengthWords(Math.abs(right), context)} to the ${right > 0 ? 'right' : 'left'}`]),
    ...(towards === 0
      ? []
      : [`${lengthWords(Math.abs(towards), context)} ${towards > 0 ? 'towards you' : 'away from you'}`])
  ].join(' and ');
  return say(
    'Find and mark the middle of the design',
    away === '' ? `In the middle of ${on}.` : `${away}, from the middle of ${on}.`
  );
}

/** Hardware set at the end. */
export function writeHardware(op: OperationOf<'hardware'>): Wording {
  const many = op.count > 1;
  switch (op.kind) {
    case 'snap':
      return say(
        many ? `Set ${op.count} snaps` : 'Set the snap',
        'Each takes 2 caps, 1 socket, 1 stud. At one hole the cap is in front and the socket behind, at the other the cap is behind and the stud in front: so they meet. Test on a scrap first.'
      );
    case 'eyelet':
      return say(many ? `Set ${op.count} eyelets` : 'Set the eyelet', 'The flange goes on the front.');
    case 'hook-and-loop':
      return say(
        many ? `Sew ${op.count} pairs of hook-and-loop on` : 'Sew the hook-and-loop on',
        'By hand. Rounded corners, soft side towards the skin.'
      );
    case 'split-ring':
      return say(many ? 'Put the rings on' : 'Put the ring on');
    case 'ribbon-loop':
      return say(many ? 'Put the ribbon loops on' : 'Put the ribbon loop on');
  }
}

/** Where to leave the file, and where to go on in it. */
export function runWords(op: OperationOf<'insert-run'>, { item, leaving }: WordingContext): string {
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

/** What is said of each wait. */
export const WAIT_WORDS: Record<OperationOf<'wait'>['why'], Wording> = {
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
    case 'hand':
      return 'Hold it with a finger or a tool, well clear of the needle.';
    case 'nothing':
      return '';
  }
}

/** Strips of tape. */
export function tapeWords(strips: number): string {
  return strips === 4
    ? 'Tape all four corners, outside the stitching.'
    : `Tape it with ${strips} strips, outside the stitching.`;
}

/** A piece by its name. */
export function name(pieceId: string, { item }: WordingContext): string {
  return findPiece(item, pieceId)?.name ?? 'a piece that is gone';
}

/** Pieces by their names. */
export function names(pieceIds: string[], context: WordingContext): string {
  return new Intl.ListFormat('en-GB').format(pieceIds.map((id) => name(id, context))) || 'nothing';
}

/** A line by its name. */
export function line(lineId: string, { item }: WordingContext): string {
  return findLine(item, lineId)?.name.toLowerCase() ?? 'line that is gone';
}

/** Seams are clipped where they bend. */
export function writeClip({ lineId }: OperationOf<'clip'>, context: WordingContext): Wording {
  const { corners, curve } = bendsAlong(context.item, lineId);
  const where = corners === 0 ? 'curves' : curve === 0 ? 'corners' : 'curves and corners';
  return say(`Clip the ${where}`, `Along the ${line(lineId, context)}, up to the seam but not into it.`);
}

/** What work is turned through: an opening that is closed later, or else the mouth that stays. */
export function openingOf(lineId: string | undefined, context: WordingContext): string {
  if (lineId === undefined) return 'opening';
  const gaps = findLine(context.item, lineId)?.gaps ?? [];
  return gaps.length > 0 && gaps.every(({ stays }) => stays === true)
    ? 'mouth'
    : `opening of the ${line(lineId, context)}`;
}

/** What is fused to pieces, each kind once. */
export function backingNames(pieceIds: string[], { item }: WordingContext): string {
  const materials = pieceIds.flatMap((id) => findPiece(item, id)?.backed ?? []);
  const called = [...new Set(materials.map((material) => material.name.toLowerCase()))];
  return new Intl.ListFormat('en-GB').format(called) || 'interfacing';
}

/** What a cut must leave whole. */
export function keptWords(keepIds: string[] | undefined, context: WordingContext): string {
  if (!keepIds || keepIds.length === 0) return '';
  return ` ${names(keepIds, context)} ${keepIds.length === 1 ? 'stays' : 'stay'} whole.`;
}

/** A length in the maker’s unit. */
export function lengthWords(mm: number, { unit }: WordingContext): string {
  return formatLength(mm, unit);
}
