import { does, hoopAfter, hoopMove } from '$lib/core/craft/operations';
import type { Operation } from '$lib/core/documents/item';
import { HOOP_AT_START } from '$lib/core/documents/plan';
import type { DraftStep } from './draftStep';
import { TAPE } from './operations';

/** A sheet that hoops nothing takes for granted that its stabiliser is hooped. */
export function hoopedFirst(
  steps: readonly DraftStep[],
  stabiliser: string | undefined
): readonly DraftStep[] {
  if (stabiliser === undefined || steps.some(({ op }) => 'do' in op && does(op, 'clamp'))) return steps;
  const op: Operation = { do: 'hoop', pieceIds: [stabiliser], sticky: false };
  return [{ id: 'ours-0', op, action: null, sentence: null }, ...steps];
}

/** What sheets never say: the hoop off before it is turned, on before a stop, tape off before a flip. */
export function withMoves(steps: readonly DraftStep[]): DraftStep[] {
  const whole: DraftStep[] = [];
  let hoop = HOOP_AT_START;
  const taped = new Set<string>();
  const follow = (op: Operation): void => {
    hoop = hoopAfter(hoop, op);
    const [held, released] = [does(op, 'hold'), does(op, 'release')];
    if (held?.by.by === 'tape') taped.add(held.pieceId);
    if (released?.held === 'tape') for (const id of released.pieceIds ?? [...taped]) taped.delete(id);
  };
  const add = (op: Operation): void => {
    whole.push({ id: `ours-${whole.length + 1}`, op, action: null, sentence: null });
    follow(op);
  };
  const off = (): void => {
    if (hoop.where === 'on') add({ do: 'hoop-off' });
  };
  const frontUp = (): void => {
    if (hoop.turned) add({ do: 'turn-over' });
  };
  for (const step of steps) {
    const { op } = step;
    if ('stop' in op) {
      if (hoop.turned) off();
      frontUp();
      if (hoop.where === 'off') add({ do: 'hoop-on' });
      whole.push(step);
      continue;
    }
    if (op.do === 'hoop' && hoop.where !== 'empty' && hoop.where !== 'unhooped') {
      const at = whole.findLastIndex((before) => 'stop' in before.op || before.op.do === 'hoop');
      const before = whole[at];
      // What is hooped before anything is stitched lies in the same ring.
      if (before && 'do' in before.op && before.op.do === 'hoop') {
        whole[at] = { ...before, op: { ...before.op, pieceIds: [...before.op.pieceIds, ...op.pieceIds] } };
        continue;
      }
      frontUp();
      off();
      add({ do: 'unhoop' });
    }
    const move = hoopMove(op);
    // What the sheet says twice, or says of a hoop that is so already, is done.
    if ((move === 'on' && hoop.where !== 'off') || (move === 'off' && hoop.where !== 'on')) continue;
    if (move === 'on') frontUp();
    const leaves = does(op, 'unclamp') !== null;
    if (move === 'over' || leaves || OFF.has(op.do)) off();
    if ((move === 'over' || leaves) && hoop.where !== 'off') continue;
    if (OUT.has(op.do) && hoop.where !== 'unhooped') {
      frontUp();
      off();
      if (hoop.where === 'off') add({ do: 'unhoop' });
    }
    if (op.do === 'lay' && op.side === 'above') frontUp();
    if (op.do === 'lay' && op.side === 'below' && !hoop.turned && hoop.where !== 'unhooped') {
      off();
      add({ do: 'turn-over' });
    }
    const flipped = does(op, 'flip')?.pieceId;
    if (flipped !== undefined && taped.has(flipped)) add({ do: 'untape', strips: TAPE, pieceIds: [flipped] });
    whole.push(step);
    follow(op);
  }
  return whole;
}

const OFF: ReadonlySet<Operation['do']> = new Set(['trim', 'cut-away-behind']);
const OUT: ReadonlySet<Operation['do']> = new Set([
  'tear-away',
  'rinse',
  'cut-out',
  'clip',
  'turn-through',
  'close-opening',
  'hardware'
]);

/** Pieces that one sentence hoops or trims together are handled in one step; what it says twice is done once. */
export function together(steps: readonly DraftStep[]): DraftStep[] {
  const merged: DraftStep[] = [];
  for (const step of steps) {
    const last = merged.at(-1);
    const op = last?.sentence === step.sentence ? joined(last.op, step.op) : undefined;
    if (last && op) merged[merged.length - 1] = { ...last, op };
    else merged.push(step);
  }
  return merged;
}

/** Two operations as one, where one does the same with the pieces of both. */
function joined(before: DraftStep['op'], now: DraftStep['op']): Operation | undefined {
  if (!('do' in before) || !('do' in now)) return undefined;
  if (before.do === 'hoop' && now.do === 'hoop')
    return { ...before, pieceIds: [...before.pieceIds, ...now.pieceIds] };
  if (before.do === 'trim' && now.do === 'trim' && before.lineId === now.lineId)
    return { ...before, pieceIds: [...before.pieceIds, ...now.pieceIds] };
  return before.do === 'other' && now.do === 'other' && before.title === now.title ? before : undefined;
}
