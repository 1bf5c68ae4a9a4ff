import type { HoopingContext } from './repeated';
import { broughtStep } from './repeated';
import type { PhasedStep } from './stages';

/**
 * Puts a bobbin change before each stop that the bobbin would not last through. A hooping is planned as beginning with a
 * full bobbin: the schedule changes it before the start where less is left than the hooping needs. A stop that takes more
 * than a full bobbin gets its changes before it too; the schedule puts the halts for them in the middle of it.
 *
 * @param heads that stitch together; each has its bobbin
 */
export function withBobbins(
  steps: readonly PhasedStep[],
  heads: number,
  context: HoopingContext
): PhasedStep[] {
  const { shop, bobbinMetres } = context;
  let left = context.bobbinLeft ?? bobbinMetres;
  return steps.flatMap((each): PhasedStep[] => {
    const { op, stop, id } = each.step;
    if (op?.do === 'bobbin') left = bobbinMetres;
    if (!stop) return [each];
    const next = nextBobbin(left, stop, bobbinMetres);
    left = next.left;
    if (next.changes === 0) return [each];
    const times = next.changes * heads;
    return [
      {
        ...each,
        changes: next.changes,
        step: broughtStep(
          each.step,
          {
            id: `bobbin-before-${id}`,
            mark: 'bobbin',
            title: times > 1 ? `Change the bobbin, ${times} times` : 'Change the bobbin',
            detail: stop?.protected
              ? 'So that it does not run out where it would show.'
              : 'It runs out in this stop.',
            op: { do: 'bobbin' }
          },
          [{ key: 'bobbin', times, seconds: shop.hands.bobbin * times }],
          context
        )
      },
      each
    ];
  });
}

/** What a stop asks of the bobbin. */
interface BobbinNeed {
  bobbinMetres: number;
  protected: boolean;
}

/** Changes a stop needs, and what is left after it. Inside an unprotected stop a bobbin may run out and is used up. */
function nextBobbin(left: number, stop: BobbinNeed, full: number): { changes: number; left: number } {
  const needs = stop.bobbinMetres;
  if (left >= needs) return { changes: 0, left: left - needs };
  const kept = stop.protected ? 0 : left;
  const changes = Math.max(1, Math.ceil((needs - kept) / full));
  return { changes, left: full * changes + kept - needs };
}

/**
 * Thread left on the bobbin after a hooping that began with a full one, or with so much, m.
 *
 * @example
 * bobbinAfter([{ bobbinMetres: 25, protected: true }, { bobbinMetres: 30, protected: true }], 40) // 10
 */
export function bobbinAfter(stops: readonly BobbinNeed[], full: number, from = full): number {
  return stops.reduce((left, stop) => nextBobbin(left, stop, full).left, from);
}
