import { does, isKindOf } from '$lib/core/craft/operations';
import { editStep, type HandStep, type Item, type Step } from '$lib/core/documents/item';
import { type PlannedBobbin, USUAL } from './bobbinPlan';

/** How a note about a bobbin begins, so that the next plan finds it again. */
const SAID = 'Bobbin:';

/**
 * The item with a bobbin plan in its sheet: a full bobbin before each stop that needs one, a note where one runs out or
 * the machine is halted for one, as it is for the first copy. Bobbin changes the plan does not have are taken off the sheet.
 *
 * @example
 * putBobbins(topper, bobbins.changes).steps // with “Put in a full bobbin” before its satin edge
 */
export function putBobbins(item: Item, all: readonly PlannedBobbin[]): Item {
  const changes = all.filter(({ copy }) => copy === 1);
  const before = new Map(
    changes.filter(({ into, why }) => into === 0 && why !== 'start').map((change) => [change.stepId, change])
  );
  const first = changes.find(({ why }) => why === 'start');
  const steps: Step[] = [];
  let hands: HandStep[] = [];
  for (const step of item.steps) {
    if (step.kind === 'hand') {
      hands.push(step);
      continue;
    }
    const change = before.get(step.id) ?? (first?.stepId === step.id ? first : undefined);
    steps.push(...handsBefore(hands, step, change), step);
    hands = [];
  }
  const kept = new Set([...steps, ...hands].map(({ id }) => id));
  const made = {
    ...item,
    steps: [...steps, ...hands].map((step) => ({ ...step, needs: step.needs.filter((id) => kept.has(id)) }))
  };
  return withNotes(made, changes);
}

function handsBefore(hands: HandStep[], stop: Step, change: PlannedBobbin | undefined): HandStep[] {
  const there = hands.findIndex(({ op }) => does(op, 'wind') !== null);
  if (!change) {
    // A change with nothing but the moves of the hoop round it goes as a whole.
    const alone = hands.every(({ op }) =>
      isKindOf(op, ({ bobbin }) => bobbin === 'change' || bobbin === 'moves-hoop')
    );
    return there >= 0 && alone ? [] : hands.filter(({ op }) => does(op, 'wind') === null);
  }
  const op = { do: 'bobbin' as const, ...(change.colour !== USUAL && { threadId: change.colour }) };
  if (there >= 0) return hands.map((hand, at) => (at === there ? { ...hand, op } : hand));
  // The first bobbin is in the machine before anything is hooped, unless it must match.
  if (change.why === 'start' && change.colour === USUAL) return hands;
  const own: HandStep = {
    kind: 'hand',
    id: `bobbin-before-${stop.id}`,
    hoopingId: stop.hoopingId,
    needs: [],
    note: change.full ? '' : 'The one that came off before has enough left.',
    op,
    ...(stop.only && { only: stop.only })
  };
  return [...hands, own];
}

function withNotes(item: Item, changes: readonly PlannedBobbin[]): Item {
  return item.steps.reduce((edited, step) => {
    if (step.kind !== 'stop') return edited;
    const said = changes.filter((change) => saidAt(change) === step.id).map(noteOf);
    const own = step.note.split('\n').filter((line) => line !== '' && !line.startsWith(SAID));
    const note = [...own, ...said].join('\n').slice(0, 2000);
    return note === step.note ? edited : editStep(edited, step.id, { note });
  }, item);
}

/** The stop at which a change inside a stop is spoken of: where it is expected, or where it may be at the earliest. */
function saidAt({ into, stepId, halt, runOut }: PlannedBobbin): string | null {
  if (into === 0) return null;
  const expected = runOut?.expected;
  return !halt && expected?.copy === 1 ? expected.stepId : stepId;
}

/** What the sheet says of a change inside a stop. */
function noteOf({ halt, runOut }: PlannedBobbin): string {
  if (halt)
    return `${SAID} halt at about stitch ${halt.stitch.toLocaleString('en')}, ${halt.where}, and put a full one in.`;
  const about = runOut?.expected ? ` at about stitch ${runOut.expected.stitch.toLocaleString('en')}` : '';
  const latest = runOut?.before ? ` Change it before stop ${runOut.before.stop} at the latest.` : '';
  return runOut?.expected?.copy === 1
    ? `${SAID} runs out here${about}.${latest}`
    : `${SAID} may run out from here on.${latest}`;
}
