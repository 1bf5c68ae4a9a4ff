import { HARDWARE, type Operation } from '$lib/core/documents/item';
import { colourOf } from '$lib/core/reading/evidence';
import { capitalised, type ThreadRack } from '$lib/core/reading/matching';
import type { SheetAction, SheetReading } from '$lib/core/reading/sheets';
import { closingOf } from './closing';
import type { Pieces } from './placing';
import type { Settled } from './settled';
import { isBound, isSprayed, laysNext } from './ways';

/** Strips of tape where the sheet says no number. */
export const TAPE = 4;
/** Mm left outside a cut where the sheet says no figure. */
const CLOSE = 2;
const SEAM = 6;

export interface Making {
  pieces: Pieces;
  threads: ThreadRack;
  settled: Settled;
  sheet: SheetReading;
}

/** The operations an action of the sheet is. */
export function opsOf(
  action: SheetAction,
  at: number,
  { pieces, threads, settled, sheet }: Making
): Operation[] {
  const id = pieces.id(action.piece);
  const closing = closingOf(sheet) ? 'closing' : 'outline';
  const title = capitalised(action.text).slice(0, 120);
  const isOut = sheet.actions.slice(0, at).some(({ action: before }) => before === 'unhoop');
  const isClosed = sheet.actions.slice(0, at).some(({ action: before }) => before === 'close-opening');
  const { zip } = pieces;
  const other: Operation = { do: 'other', title, seconds: 30 };
  switch (action.action) {
    case 'hoop':
      return id ? [{ do: 'hoop', pieceIds: [id], sticky: false }] : [other];
    case 'tear-away':
      return id && sheet.pieces.some(({ name, role }) => name === action.piece && role === 'topping')
        ? [{ do: 'topping-off', pieceId: id }]
        : [{ do: 'tear-away' }];
    case 'unhoop':
    case 'hoop-on':
    case 'hoop-off':
    case 'rinse':
    case 'unpin':
      return [{ do: action.action }];
    case 'turn-hoop-over':
    case 'turn-hoop-back':
      return [{ do: 'turn-over' }];
    case 'lay':
    case 'insert-ribbon': {
      if (!id) return [other];
      const side = action.where === 'below' ? 'below' : 'above';
      const face = action.faceFromAbove ?? settled.get(at) ?? (side === 'below' ? 'down' : 'up');
      const stabiliser = sheet.pieces.find(({ name }) => name === action.piece)?.role === 'stabiliser';
      if (stabiliser) return action.optional ? [] : [{ do: 'float', pieceId: id, side, face: 'up' }];
      return [
        {
          do: 'lay',
          pieceId: id,
          side,
          face,
          ...pieces.placing(action.piece),
          hold: isSprayed(sheet, at) ? { by: 'spray' } : { by: 'nothing' }
        }
      ];
    }
    case 'tape':
      return id
        ? [{ do: 'tape', pieceId: id, strips: /\b(?:both|two|sides)\b/i.test(action.text) ? 2 : TAPE }]
        : [other];
    case 'untape':
      return [{ do: 'untape', strips: TAPE, ...(id && { pieceIds: [id] }) }];
    case 'pin':
      return id ? [{ do: 'pin', pieceId: id, pins: 4, away: 12 }] : [other];
    case 'spray':
      // What is sprayed before it is laid is held by it there.
      if (laysNext(sheet, at)) return [];
      return id ? [{ do: 'spray', pieceId: id }] : [other];
    case 'glue':
      return id ? [{ do: 'glue', pieceId: id, lineId: 'outline' }] : [other];
    case 'press':
      // Fingers press in the hoop; an iron only out of it.
      return isOut && !/\bfinger/i.test(action.text) ? [{ do: 'press', from: 'front' }] : [other];
    case 'flip': {
      const flip = action.piece === null ? undefined : pieces.flipped(action.piece);
      return id && flip ? [{ do: 'flip', pieceId: id, ...flip }] : [other];
    }
    case 'trim': {
      const named = id === undefined ? trimmedInHoop(sheet, at) : action.piece;
      const trimmed = pieces.id(named);
      if (action.piece !== null && isBound(sheet, action.piece)) return [other];
      if (action.piece === 'threads') return [{ do: 'snip', side: 'front', jumps: 4 }];
      if (!trimmed)
        return /\b(?:seam|layers|fabrics|excess|everything)\b/.test(action.piece ?? '') ||
          action.piece === null
          ? [{ do: 'cut-out', lineId: 'outline', margin: marginIn(action.text) ?? SEAM }]
          : [other];
      return [
        {
          do: 'trim',
          pieceIds: [trimmed],
          lineId: pieces.cutLine(named),
          side: 'outside',
          margin: marginIn(action.text) ?? CLOSE,
          keepIds: []
        }
      ];
    }
    case 'cut-away':
      return id
        ? [{ do: 'cut-away-behind', pieceIds: [id], lineId: 'outline', from: 'back', keepIds: [] }]
        : [other];
    case 'cut-out':
      return [{ do: 'cut-out', lineId: 'outline', margin: marginIn(action.text) ?? CLOSE }];
    case 'clip':
      return [{ do: 'clip', lineId: closing }];
    case 'zip':
      return id
        ? [
            {
              do: 'zip',
              pieceId: id,
              to: /\b(?:close|shut)\b/i.test(action.text)
                ? 'closed'
                : /\b(?:half|three|partly|most)/i.test(action.text)
                  ? 'three-quarters'
                  : 'open'
            }
          ]
        : [other];
    case 'change-thread':
      return threadOps(action, at, { threads, sheet });
    case 'change-bobbin':
      // One that matches is of the only thread there is.
      return [
        {
          do: 'bobbin',
          ...(/\b(?:match|same)/i.test(action.text) &&
            threads.all.length === 1 && { threadId: threads.all[0]?.id })
        }
      ];
    case 'turn-through':
      if (pieces.envelope !== undefined) return [{ do: 'turn-through', pieceId: pieces.envelope }];
      // Once the opening is closed, or where there is none, lined work is turned through its zip.
      if (zip && (isClosed || closingOf(sheet)?.opens === false))
        return [{ do: 'turn-through', pieceId: zip }];
      return closing === 'closing' ? [{ do: 'turn-through', lineId: closing }] : [other];
    case 'close-opening':
      return [
        { do: 'close-opening', lineId: closing, by: /\bmachine\b/i.test(action.text) ? 'machine' : 'hand' }
      ];
    case 'dry':
      return [{ do: 'wait', why: 'dry' }];
    case 'attach-hardware':
      return [
        {
          do: 'hardware',
          kind: HARDWARE.find((kind) => hardware(kind).test(action.text)) ?? 'snap',
          count: 1
        }
      ];
    case 'fuse':
      // What lies in the hoop is fused there; interfacing goes on before, as something else to do.
      return id && sheet.actions.slice(0, at).some((a) => a.action === 'lay' && a.piece === action.piece)
        ? [{ do: 'fuse', pieceId: id }]
        : [other];
    // Nothing in the hoop moves by these; a kind that is not named here does not compile.
    case 'fold':
    case 'other':
      return [other];
  }
}

function hardware(kind: (typeof HARDWARE)[number]): RegExp {
  switch (kind) {
    case 'snap':
      return /\b(?:snap|stud|popper|button|magnet)/i;
    case 'eyelet':
      return /\b(?:eyelet|grommet|rivet)/i;
    case 'split-ring':
      return /\bring|clasp|carabiner|chain|swivel/i;
    case 'ribbon-loop':
      return /\b(?:ribbon|loop\b(?! tape))/i;
    case 'hook-and-loop':
      return /\b(?:hook|velcro|loop tape)/i;
  }
}

/** What “trim close to the stitches” trims while the work is in the hoop: the cloth laid last, where more is stitched after it. */
function trimmedInHoop({ actions, stops }: SheetReading, at: number): string | null {
  const before = actions.slice(0, at);
  const own = actions[at];
  if (!own || before.some(({ action }) => action === 'unhoop')) return null;
  if (own.piece === 'threads' || stops.every(({ n }) => n <= own.after)) return null;
  return before.findLast(({ action, where }) => action === 'lay' && where !== 'below')?.piece ?? null;
}

/** Mm or inches that a cut leaves. */
function marginIn(text: string): number | undefined {
  const mm = /(\d+(?:[.,]\d+)?)\s*mm\b/i.exec(text)?.[1];
  if (mm !== undefined) return Number(mm.replace(',', '.'));
  const part = /\b(\d+)\/(\d+)\s*(?:in\b|inch|["″”])/i.exec(text);
  return part ? Math.round((Number(part[1]) / Number(part[2])) * 254) / 10 : undefined;
}

/** A change of thread; of several in one sentence each has its own colour. */
function threadOps(
  { text, sentence }: SheetAction,
  at: number,
  { threads, sheet }: Pick<Making, 'threads' | 'sheet'>
): Operation[] {
  const nth = sheet.actions
    .slice(0, at)
    .filter((other) => other.action === 'change-thread' && other.sentence === sentence).length;
  const name = threadName(text, nth);
  return [{ do: 'thread', threadId: threads.take(name, colourOf(name)) }];
}

/**
 * The colour that words change to.
 *
 * @param nth which of several, from 0: "in red, green and brass"
 */
export function threadName(text: string, nth = 0): string {
  const several = /\b(?:in|with)\s+(\p{L}+(?:,\s*\p{L}+)*,?\s+and\s+\p{L}+)/iu
    .exec(text)?.[1]
    ?.split(/,\s*|\s+and\s+/);
  const own = several?.[nth];
  if (own) return own;
  const found =
    /\b(?:to|with|in)\s+(?:the\s+)?([\p{L}\s-]{3,30}?)(?:\s+thread)?(?=\s*(?:,|$|\bfor\b|\band\b|\bon\b))/iu.exec(
      text
    )?.[1];
  return found?.trim() ?? 'Your choice';
}
