import { found } from '$lib/core/craft/findings';
import { drawsLine, editStop, findThread } from '$lib/core/documents/item';
import { visibleThreads } from '$lib/core/craft/stack';
import { type Check, type Finding, runsOf, type StopRun } from './finding';

/** Stops that are seen on one path in two colours: the first shows through the last, unless satin hides it. */
export const colours: Check = (context) => {
  const { item, trace } = context;
  const last = trace.at(-1)?.state;
  if (!last) return [];
  const front = new Map(visibleThreads(last).map(({ stepId, upper }) => [stepId, upper]));
  const onPath = new Map<string, StopRun[]>();
  for (const run of runsOf(context)) {
    if (!drawsLine(run.role) || run.lineIds.length === 0 || !run.stop) continue;
    for (const line of run.lineIds) onPath.set(line, [...(onPath.get(line) ?? []), run]);
  }
  return [...onPath.values()].flatMap((all): Finding[] => {
    const final = all.at(-1);
    return all.slice(0, -1).flatMap((run): Finding[] => {
      const [stop, other] = [run.stop, final?.stop];
      const side = front.get(run.stepId);
      if (
        !stop ||
        !other ||
        !final ||
        side === null ||
        side !== front.get(final.stepId) ||
        stop.threadId === other.threadId
      )
        return [];
      const name = (id: string): string => findThread(item, id)?.name.toLowerCase() ?? 'another thread';
      return [
        {
          ...found('colours/one-line', run.stepId, {
            stop: stop.number,
            other: other.number,
            thread: name(stop.threadId),
            otherThread: name(other.threadId)
          }),
          fix: {
            label: `Use ${name(other.threadId)}`,
            apply: (before) => editStop(before, stop.id, { threadId: other.threadId })
          }
        }
      ];
    });
  });
};
