import { stepDoes } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { editStop, findStop } from '$lib/core/documents/item';
import type { Check, CheckContext, Finding } from './finding';

/** On a machine that changes colour by itself: stops that run straight on although hands follow. */
export const halts: Check = (context) => [...inOneColour(context), ...runsStraightOn(context)];

/** In one-colour mode no machine halts between the stops of the file, on one needle either. */
function inOneColour({ item }: CheckContext): Finding[] {
  return item.files
    .filter(({ oneColour }) => oneColour)
    .flatMap(({ stops }) => {
      const own = new Set(stops.map(({ id }) => id));
      const at = item.steps.flatMap((step, index) =>
        step.kind === 'stop' && own.has(step.stopId) ? [index] : []
      );
      return at.slice(0, -1).flatMap((index, order): Finding[] => {
        const between = item.steps.slice(index + 1, at[order + 1]);
        const hands = between.find((step) => step.kind === 'hand');
        const step = item.steps[index];
        const stop = step?.kind === 'stop' ? findStop(item, step.stopId) : undefined;
        // Another hooping of the same file is started anew.
        const hoopsAnew = between.some((each) => stepDoes(each, 'unclamp') !== null);
        if (!hands || !stop || hoopsAnew) return [];
        return [found('halts/one-colour', step?.id ?? null, { stop: stop.number ?? 0 })];
      });
    });
}

function runsStraightOn({ item, plan }: CheckContext): Finding[] {
  if (plan.machine.needles === 1) return [];
  return item.steps.flatMap((step, at): Finding[] => {
    const stop = step.kind === 'stop' ? findStop(item, step.stopId) : undefined;
    if (!stop || stop.halts || stop.number === null || item.steps[at + 1]?.kind !== 'hand') return [];
    return [
      {
        ...found('halts/runs-on', step.id, { stop: stop.number, machine: plan.machine.name }),
        fix: { label: 'It halts', apply: (before) => editStop(before, stop.id, { halts: true }) }
      }
    ];
  });
}
