import { editStop, findStop, findThread, type Stop } from '$lib/core/item';
import type { Check, Finding } from './finding';

/** Stops that are seen on one path in two colours: the first shows through the last, unless satin hides it. */
export const colours: Check = ({ item }) => {
  const onPath = new Map<string, { stop: Stop; stepId: string }[]>();
  for (const step of item.steps) {
    const stop = step.kind === 'stop' ? findStop(item, step.stopId) : undefined;
    if (!stop || stop.number === null || stop.lineIds.length === 0) continue;
    const path = stop.lineIds.join(' ');
    onPath.set(path, [...(onPath.get(path) ?? []), { stop, stepId: step.id }]);
  }
  return [...onPath.values()].flatMap((all): Finding[] => {
    const last = all.at(-1)?.stop;
    if (!last || last.role === 'satin-edge' || last.role === 'applique-edge') return [];
    return all.slice(0, -1).flatMap(({ stop, stepId }): Finding[] => {
      const seen = stop.visible === 'front' || stop.visible === 'both';
      if (!seen || stop.threadId === last.threadId) return [];
      const name = (id: string): string => findThread(item, id)?.name.toLowerCase() ?? 'another thread';
      return [
        {
          checkId: 'colours',
          severity: 'warn',
          stepId,
          text: `Stops ${stop.number} and ${last.number} are seen on one line, in ${name(stop.threadId)} and ${name(last.threadId)}.`,
          advice: `Stitch stop ${stop.number} in ${name(last.threadId)} too.`,
          fix: {
            label: `Use ${name(last.threadId)}`,
            apply: (before) => editStop(before, stop.id, { threadId: last.threadId })
          }
        }
      ];
    });
  });
};
