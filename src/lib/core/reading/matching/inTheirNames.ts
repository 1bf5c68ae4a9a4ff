import {
  addThread,
  findStop,
  type Item,
  type Operation,
  type Step,
  type Stop
} from '$lib/core/documents/item';

/** The stops of an item, file by file. */
export const stopsOf = (item: Item): Stop[] => item.files.flatMap(({ stops }) => stops);

/**
 * A fresh assembly with the names that an item made before has for the same things: its stops by what they stand for, its
 * threads by what they are called. So the two can be compared step by step.
 *
 * @returns the assembly, and the item with the threads that it lacked
 */
export function inTheirNames(made: Item, theirs: Item): { made: Item; theirs: Item } {
  let withThreads = theirs;
  const threadId = new Map<string, string>();
  for (const thread of made.threads) {
    const fresh = withThreads.threads.some(({ id }) => id === thread.id)
      ? unusedId(withThreads, thread.id)
      : thread.id;
    const added = addThread(withThreads, { ...thread, id: fresh });
    withThreads = added.item;
    threadId.set(thread.id, added.threadId);
  }
  const own = new Map<string, Stop[]>();
  for (const stop of stopsOf(theirs))
    if (stop.expects !== undefined) own.set(stop.expects, [...(own.get(stop.expects) ?? []), stop]);
  const seen = new Map<string, number>();
  const stopId = new Map<string, string>();
  for (const stop of stopsOf(made)) {
    const key = stop.expects ?? stop.id;
    const at = seen.get(key) ?? 0;
    seen.set(key, at + 1);
    stopId.set(stop.id, own.get(key)?.[at]?.id ?? `made-${key}${at > 0 ? `-${at + 1}` : ''}`);
  }
  const stepId = new Map(
    made.steps.map((step) => [step.id, step.kind === 'stop' ? renamed(made, step, stopId) : step.id])
  );
  return {
    theirs: withThreads,
    made: {
      ...made,
      threads: made.threads.map((thread) => ({ ...thread, id: threadId.get(thread.id) ?? thread.id })),
      files: made.files.map((file) => ({
        ...file,
        stops: file.stops.map((stop) => ({
          ...stop,
          id: stopId.get(stop.id) ?? stop.id,
          threadId: threadId.get(stop.threadId) ?? stop.threadId
        }))
      })),
      steps: made.steps.map((step): Step => {
        const shared = {
          id: stepId.get(step.id) ?? step.id,
          needs: step.needs.map((need) => stepId.get(need) ?? need)
        };
        return step.kind === 'stop'
          ? { ...step, ...shared, stopId: stopId.get(step.stopId) ?? step.stopId }
          : { ...step, ...shared, op: threaded(step.op, threadId) };
      }),
      remarks: made.remarks.map((remark) =>
        remark.stepId === undefined
          ? remark
          : { ...remark, stepId: stepId.get(remark.stepId) ?? remark.stepId }
      )
    }
  };
}

function renamed(
  made: Item,
  step: Extract<Step, { kind: 'stop' }>,
  stopId: ReadonlyMap<string, string>
): string {
  const stop = findStop(made, step.stopId);
  const id = stopId.get(stop?.id ?? '') ?? step.id;
  return step.pass > 1 ? `${id}-again-${step.pass}` : id;
}

function threaded(op: Operation, threadId: ReadonlyMap<string, string>): Operation {
  return 'threadId' in op && op.threadId !== undefined
    ? { ...op, threadId: threadId.get(op.threadId) ?? op.threadId }
    : op;
}

function unusedId({ threads }: Item, id: string): string {
  for (let more = 2; ; more++) {
    const fresh = `${id}-${more}`;
    if (!threads.some((thread) => thread.id === fresh)) return fresh;
  }
}
