/**
 * Changes of an intact item, made from its operations. Whether a change is a mistake is decided by what its
 * construction declares (needs, faces, covers, truths), never by a check.
 */
import type { Case } from './intact';
import { colours, materials, shapes } from './mistakesOfMatter';
import { extents } from '$lib/core/base/geometry';
import {
  isTwoSided,
  editStep,
  editStop,
  findLine,
  findPiece,
  type HandStep,
  type Item,
  moveStepAfter,
  type OperationKind,
  type OperationOf,
  removeStep,
  type Step
} from '$lib/core/documents/item';
import type { Setup } from '$lib/core/documents/shop';

export interface Change {
  kind: string;
  what: string;
  item: Item;
  setup: Setup;
  /** Steps that are changed; a step that is gone has its dependants here. */
  steps: string[];
  mistake: boolean;
  /** The step is gone, so a finding about the whole item is at the right place too. */
  gone: boolean;
}

/** Materials without a wrong side, as the craft has them. */

export type Hand<K extends OperationKind> = HandStep & { op: OperationOf<K> };
export const hands = <K extends OperationKind>(item: Item, ...kinds: K[]): Hand<K>[] =>
  item.steps.filter(
    (step): step is Hand<K> => step.kind === 'hand' && (kinds as string[]).includes(step.op.do)
  );

/** Every change of an item there is, of every kind. */
export function changesOf(base: Case): Change[] {
  const { item, setup, pattern } = base;
  const truths = pattern.truths;
  const ids = idsOf(base);
  const musts = new Set(truths.flatMap((truth) => (truth.kind === 'must' ? ids(truth.step) : [])));
  const change = (
    kind: string,
    what: string,
    next: Item,
    steps: string[],
    mistake: boolean,
    more: Partial<Change> = {}
  ): Change => ({ kind, what, item: next, setup, steps, mistake, gone: false, ...more });
  const withOp = (step: HandStep, op: object): Item =>
    editStep(item, step.id, { op: { ...step.op, ...op } as HandStep['op'] });
  const needs = needing(item);

  const lays = hands(item, 'lay').flatMap((step): Change[] => {
    const { op } = step;
    const piece = findPiece(item, op.pieceId);
    if (!piece) return [];
    const oneSided = piece.shows !== 'nothing' && !piece.folded && !isTwoSided(piece.material.kind);
    const held = truths.some((truth) => truth.kind === 'held' && truth.step === step.id);
    const line = piece.covers === null ? undefined : findLine(item, piece.covers);
    const box = line && extents(line.path);
    const small = { width: (box?.width ?? 40) - 8, height: (box?.height ?? 40) - 8 };
    const pinnedOn = op.covers;
    const at = item.steps.indexOf(step);
    const underNeedle = item.steps
      .slice(at + 1, endOfHooping(item, at))
      .some(
        (later) =>
          later.kind === 'stop' && pinnedOn !== undefined && stopOf(item, later)?.lineIds.includes(pinnedOn)
      );
    const previous = item.steps.slice(0, at).findLastIndex(({ kind }) => kind === 'stop');
    const stop = item.steps[previous];
    return [
      change(
        'wrong face',
        op.pieceId,
        withOp(step, { face: op.face === 'up' ? 'down' : 'up' }),
        [step.id],
        oneSided
      ),
      change(
        'too small',
        op.pieceId,
        {
          ...item,
          pieces: item.pieces.map((each) => (each.id === piece.id ? { ...each, overrides: small } : each))
        },
        naming(item, piece.id),
        piece.covers !== null && !piece.readyMade
      ),
      change('missing tape', op.pieceId, withOp(step, { hold: { by: 'nothing' } }), [step.id], held),
      change(
        'pin in the path',
        op.pieceId,
        withOp(step, { hold: { by: 'pins', pins: 4, away: 2 } }),
        [step.id],
        underNeedle
      ),
      ...(stop
        ? [
            change(
              'laid too early',
              op.pieceId,
              moveStepAfter(item, step.id, item.steps[previous - 1]?.id ?? null),
              [step.id, stop.id],
              needs(step.id, stop.id)
            )
          ]
        : [])
    ];
  });

  const order = item.steps.slice(1).flatMap((step, index): Change[] => {
    const before = item.steps[index];
    if (!before) return [];
    const swapped = moveStepAfter(item, step.id, item.steps[index - 1]?.id ?? null);
    return [
      change(
        'swapped steps',
        `${before.id} and ${step.id}`,
        swapped,
        [before.id, step.id],
        step.needs.includes(before.id)
      )
    ];
  });

  const trims = hands(item, 'trim').flatMap((step): Change[] => {
    const at = item.steps.indexOf(step);
    const cover = item.steps.slice(at + 1).find((later) => later.kind === 'hand' && later.op.do === 'lay');
    const edged = item.steps.some(
      (later) =>
        later.kind === 'stop' &&
        stopOf(item, later)?.lineIds.includes(step.op.lineId) &&
        ['satin-edge', 'applique-edge'].includes(stopOf(item, later)?.role ?? '')
    );
    return [
      change('trimmed too wide', step.id, withOp(step, { margin: 6 }), [step.id], edged),
      ...(cover
        ? [
            change(
              'trim after cover',
              step.id,
              moveStepAfter(item, step.id, cover.id),
              [step.id, cover.id],
              needs(cover.id, step.id)
            )
          ]
        : [])
    ];
  });

  const removed = item.steps.map((step) =>
    change(
      step.kind === 'stop' ? 'missing stop' : `missing ${LEFT_OUT[step.op.do] ?? 'hand step'}`,
      step.id,
      removeStep(item, step.id),
      [step.id],
      musts.has(step.id),
      { gone: true }
    )
  );

  return [
    ...lays,
    ...order,
    ...trims,
    ...removed,
    ...unhoops(base, change),
    ...halts(base, change),
    ...materials(base, change),
    ...shapes(base, change),
    ...colours(base, change, ids)
  ];
}

const LEFT_OUT: Partial<Record<OperationKind, string>> = {
  'topping-on': 'topping',
  zip: 'zip opening',
  flip: 'flip',
  trim: 'trim',
  'patch-hole': 'patch',
  bobbin: 'bobbin change',
  needle: 'needle change',
  unpin: 'unpinning',
  untape: 'untaping',
  lay: 'piece'
};

/** Makes a change of the item at hand. */
export type Make = (
  kind: string,
  what: string,
  next: Item,
  steps: string[],
  mistake: boolean,
  more?: Partial<Change>
) => Change;

/** The work leaves the ring between two stops that must register. */
function unhoops({ item }: Case, change: Make): Change[] {
  return item.steps.flatMap((step, at): Change[] => {
    const before = item.steps.slice(0, at).findLast(({ kind }) => kind === 'stop');
    if (step.kind !== 'stop' || !before || before.hoopingId !== step.hoopingId) return [];
    const out: Step = {
      kind: 'hand',
      id: 'out',
      hoopingId: step.hoopingId,
      needs: [],
      note: '',
      op: { do: 'unhoop' }
    };
    const next = { ...item, steps: [...item.steps.slice(0, at), out, ...item.steps.slice(at)] };
    return [change('unhooped too early', step.id, next, ['out', step.id], true)];
  });
}

/** The file does not halt although hands are needed; a single needle halts at every stop anyway. */
function halts({ item, setup }: Case, change: Make): Change[] {
  return item.steps.flatMap((step, at): Change[] => {
    const stop = step.kind === 'stop' ? stopOf(item, step) : undefined;
    if (!stop?.halts || item.steps[at + 1]?.kind !== 'hand') return [];
    const runsOn = editStop(item, stop.id, { halts: false });
    return [
      change('missing halt', step.id, runsOn, [step.id], true, { setup: { ...setup, machineId: 'multi' } }),
      change('missing halt', `${step.id}, single needle`, runsOn, [step.id], false, {
        setup: { ...setup, machineId: 'single' }
      })
    ];
  });
}

export function stopOf(item: Item, step: Step): Item['files'][number]['stops'][number] | undefined {
  return step.kind === 'stop'
    ? item.files.flatMap(({ stops }) => stops).find(({ id }) => id === step.stopId)
    : undefined;
}

function endOfHooping(item: Item, at: number): number {
  const out = item.steps
    .slice(at)
    .findIndex((step) => step.kind === 'hand' && ['unhoop', 'unpin'].includes(step.op.do));
  return out < 0 ? item.steps.length : at + out;
}

/** Steps that name a piece. */
export function naming(item: Item, pieceId: string): string[] {
  return item.steps
    .filter((step) => step.kind === 'hand' && JSON.stringify(step.op).includes(`"${pieceId}"`))
    .map(({ id }) => id);
}

/** Steps of the item that an entry of the pattern became. */
function idsOf({ item }: Case): (key: string) => string[] {
  return (key) =>
    item.steps.filter((step) => step.id === key || stopOf(item, step)?.expects === key).map(({ id }) => id);
}

/** Whether a step needs another, by way of others too. */
export function needing(item: Item): (step: string, other: string) => boolean {
  const of = new Map(item.steps.map(({ id, needs }) => [id, needs]));
  const all = new Map<string, Set<string>>();
  const reach = (id: string): Set<string> => {
    const known = all.get(id);
    if (known) return known;
    const found = new Set<string>();
    all.set(id, found);
    for (const need of of.get(id) ?? []) {
      found.add(need);
      reach(need).forEach((far) => found.add(far));
    }
    return found;
  };
  return (step, other) => reach(step).has(other);
}
