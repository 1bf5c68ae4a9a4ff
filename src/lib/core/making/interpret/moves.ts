import type { Operation } from '$lib/core/documents/item';
import type { DraftStep } from './draftStep';
import { TAPE } from './operations';

/** A sheet that hoops nothing takes for granted that its stabiliser is hooped. */
export function hoopedFirst(
  steps: readonly DraftStep[],
  stabiliser: string | undefined
): readonly DraftStep[] {
  if (stabiliser === undefined || steps.some(({ op }) => 'do' in op && op.do === 'hoop')) return steps;
  const op: Operation = { do: 'hoop', pieceIds: [stabiliser], sticky: false };
  return [{ id: 'ours-0', op, action: null, sentence: null }, ...steps];
}

/** What sheets never say: the hoop off before it is turned, on before a stop, tape off before a flip. */
export function withMoves(steps: readonly DraftStep[]): DraftStep[] {
  const whole: DraftStep[] = [];
  const now: { hoop: 'empty' | 'off' | 'on' | 'out'; over: boolean } = { hoop: 'empty', over: false };
  const taped = new Set<string>();
  const add = (op: Operation): void => {
    whole.push({ id: `ours-${whole.length + 1}`, op, action: null, sentence: null });
    follow(op);
  };
  const follow = (op: Operation): void => {
    if (op.do === 'hoop') [now.hoop, now.over] = ['off', false];
    if (op.do === 'hoop-on') now.hoop = 'on';
    if (op.do === 'hoop-off') now.hoop = 'off';
    if (op.do === 'turn-over') now.over = !now.over;
    if (op.do === 'unhoop') [now.hoop, now.over] = ['out', false];
    if (op.do === 'tape') taped.add(op.pieceId);
    if (op.do === 'untape') for (const id of op.pieceIds ?? [...taped]) taped.delete(id);
  };
  for (const step of steps) {
    const { op } = step;
    if (!('stop' in op) && op.do === 'hoop' && now.hoop !== 'empty' && now.hoop !== 'out') {
      const at = whole.findLastIndex((before) => 'stop' in before.op || before.op.do === 'hoop');
      const before = whole[at];
      // What is hooped before anything is stitched lies in the same ring.
      if (before && 'do' in before.op && before.op.do === 'hoop') {
        whole[at] = { ...before, op: { ...before.op, pieceIds: [...before.op.pieceIds, ...op.pieceIds] } };
        continue;
      }
      if (now.over) add({ do: 'turn-over' });
      if (now.hoop === 'on') add({ do: 'hoop-off' });
      add({ do: 'unhoop' });
    }
    if ('stop' in op) {
      if (now.over && now.hoop === 'on') add({ do: 'hoop-off' });
      if (now.over) add({ do: 'turn-over' });
      if (now.hoop === 'off') add({ do: 'hoop-on' });
      whole.push(step);
      continue;
    }
    // What the sheet says twice, or says of a hoop that is so already, is done.
    if ((op.do === 'hoop-on' && now.hoop !== 'off') || (op.do === 'hoop-off' && now.hoop !== 'on')) continue;
    if (op.do === 'hoop-on' && now.over) add({ do: 'turn-over' });
    if ((op.do === 'turn-over' || op.do === 'unhoop' || OFF.has(op.do)) && now.hoop === 'on')
      add({ do: 'hoop-off' });
    if (op.do === 'turn-over' && now.hoop !== 'off') continue;
    if (op.do === 'unhoop' && now.hoop !== 'off') continue;
    if (OUT.has(op.do) && now.hoop !== 'out') {
      if (now.over) add({ do: 'turn-over' });
      if (now.hoop === 'on') add({ do: 'hoop-off' });
      if (now.hoop === 'off') add({ do: 'unhoop' });
    }
    if (op.do === 'lay' && op.side === 'above' && now.over) add({ do: 'turn-over' });
    if (op.do === 'lay' && op.side === 'below' && !now.over && now.hoop !== 'out') {
      if (now.hoop === 'on') add({ do: 'hoop-off' });
      add({ do: 'turn-over' });
    }
    if (op.do === 'flip' && taped.has(op.pieceId))
      add({ do: 'untape', strips: TAPE, pieceIds: [op.pieceId] });
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
