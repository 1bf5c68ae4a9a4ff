import { seeded } from '$lib/core/base/units';
import { wordingOf } from '$lib/core/craft/operations';
import { editStep, findStop, type Item, removeStep, ROLE_WORDS, type Step } from '$lib/core/documents/item';
import { HOOP_AT_START } from '$lib/core/documents/plan';
import type { Shop } from '$lib/core/documents/shop';
import { review, type Review } from '$lib/core/making/checks';
import { whyOf } from '$lib/core/making/why';
import type { Choice, Drill } from './drill';
import { rescueDrills } from './rescueDrills';
import { timeDrills } from './timeDrills';

/** Choices of a drill. */
const CHOICES = 4;

/**
 * Drills of an item, made by its simulation: every right answer comes out right there, and every wrong one that is a change of
 * the work comes out wrong.
 *
 * @param seed the same seed gives the same drills
 *
 * @example
 * drillsOf(tab, shop, 1).map(({ skill }) => skill) // ['mistake', 'next', 'side', 'chart', 'time', …]
 */
export function drillsOf(item: Item, shop: Shop, seed: number): Drill[] {
  const random = seeded(seed);
  const asItIs = review(item, undefined, shop);
  return [
    ...sideDrills(item, shop, asItIs),
    ...mistakeDrills(item, shop, asItIs, random),
    ...nextDrills(item, shop, asItIs, random),
    ...chartDrills(item, random),
    ...timeDrills(item, asItIs.plan, random),
    ...rescueDrills(item, asItIs.plan, random)
  ];
}

/** What a change makes worse, in words; nothing where it does not. */
function worse(before: Review, item: Item, shop: Shop): { words: string; stepId: string | null } | null {
  const after = review(item, undefined, shop);
  const known = new Set(before.checked.open.map(({ code, stepId }) => `${code} ${stepId ?? ''}`));
  const found = after.checked.open.find(
    ({ code, severity, stepId }) => severity === 'stop' && !known.has(`${code} ${stepId ?? ''}`)
  );
  if (found) return { words: found.text, stepId: found.stepId };
  const broken = after.trace.find(
    ({ problem, stepId }) =>
      problem !== null && before.trace.every((each) => each.stepId !== stepId || each.problem === null)
  );
  return broken ? { words: broken.problem ?? '', stepId: broken.stepId } : null;
}

function titleOf(step: Step, item: Item): string {
  if (step.kind === 'stop') return findStop(item, step.stopId)?.name ?? 'Stop';
  return wordingOf(step.op, { item, unit: 'mm', hoop: HOOP_AT_START }).title;
}

function drillOf(
  item: Item,
  skill: Drill['skill'],
  about: string,
  rest: Pick<Drill, 'question' | 'choices' | 'answer' | 'why' | 'shown' | 'until'>
): Drill {
  return { id: `${item.id}/${skill}/${about}`, skill, itemId: item.id, itemName: item.name, ...rest };
}

const flipped = (item: Item, step: Step): Item | null =>
  step.kind === 'hand' && step.op.do === 'lay'
    ? editStep(item, step.id, { op: { ...step.op, face: step.op.face === 'up' ? 'down' : 'up' } })
    : null;

/** Which way up: only layings whose other face comes out wrong. */
function sideDrills(item: Item, shop: Shop, asItIs: Review): Drill[] {
  return item.steps.flatMap((step): Drill[] => {
    const other = flipped(item, step);
    if (!other || step.kind !== 'hand' || step.op.do !== 'lay') return [];
    const wrong = worse(asItIs, other, shop);
    if (!wrong) return [];
    const { pieceId, side } = step.op;
    const name = item.pieces.find(({ id }) => id === pieceId)?.name ?? 'the piece';
    // Below, the hoop is turned over: what lies face down from above looks at the maker.
    const toYou = (face: 'up' | 'down'): boolean => (face === 'up') === (side === 'above');
    const right = toYou(step.op.face) ? 'to-you' : 'away';
    const choice = (id: string, words: string): Choice => ({
      id,
      words,
      ...(id !== right && { leadsTo: other })
    });
    return [
      drillOf(item, 'side', step.id, {
        question: `${name} is laid ${side === 'above' ? 'on the hoop' : 'on the back of the hoop'}. Which side looks at you?`,
        choices: [choice('to-you', 'Its right side'), choice('away', 'Its wrong side')],
        answer: right,
        why: `${whyOf(item, asItIs.trace, step.id) ?? ''} The other way: ${wrong.words}`.trim(),
        shown: item,
        until: before(item, step.id)
      })
    ];
  });
}

function before(item: Item, stepId: string): string | null {
  const at = item.steps.findIndex(({ id }) => id === stepId);
  return item.steps[at - 1]?.id ?? null;
}

/** Spot the mistake: one step done otherwise or left out, and it is to be found among others. */
function mistakeDrills(item: Item, shop: Shop, asItIs: Review, random: () => number): Drill[] {
  return item.steps.flatMap((step): Drill[] => {
    if (step.kind !== 'hand') return [];
    const changed = flipped(item, step);
    const left = ['trim', 'turn-over', 'flip', 'tape', 'topping-on'].includes(step.op.do)
      ? removeStep(item, step.id)
      : null;
    return [changed, left].flatMap((wrong, way): Drill[] => {
      const found = wrong && worse(asItIs, wrong, shop);
      if (!wrong || !found) return [];
      const whole = way === 0;
      // What is left out cannot be pressed: it is missed before the step that follows.
      const at = whole ? step.id : wrong.steps[item.steps.findIndex(({ id }) => id === step.id)]?.id;
      const spot = wrong.steps.find(({ id }) => id === at);
      if (!spot) return [];
      const titles = new Set([titleOf(spot, wrong)]);
      const others = shuffled(
        wrong.steps.filter(({ id, kind }) => id !== spot.id && kind === 'hand'),
        random
      )
        .filter((each) => {
          const title = titleOf(each, wrong);
          const isNew = !titles.has(title);
          titles.add(title);
          return isNew;
        })
        .slice(0, CHOICES - 1);
      if (others.length < CHOICES - 1) return [];
      const words = (each: Step): string => `${whole ? '' : 'Before: '}${titleOf(each, wrong)}`;
      return [
        drillOf(item, 'mistake', `${step.id}-${way}`, {
          question: whole
            ? 'One step of this sheet is done the wrong way. Which?'
            : 'One step is missing on this sheet. Where?',
          choices: inOrder([spot, ...others], wrong).map((each) => ({ id: each.id, words: words(each) })),
          answer: spot.id,
          why: `${whole ? '' : `Missing: ${titleOf(step, item)}. `}${found.words}`,
          shown: wrong,
          until: null
        })
      ];
    });
  });
}

/** What now: the next step, and others of the same item that come out wrong when they are done in its place. */
function nextDrills(item: Item, shop: Shop, asItIs: Review, random: () => number): Drill[] {
  return item.steps.flatMap((step, at): Drill[] => {
    const isHalt = step.kind === 'hand' && item.steps[at - 1]?.kind === 'stop';
    if (!isHalt) return [];
    const wrong: Choice[] = [];
    for (const other of shuffled(item.steps.slice(at + 1), random)) {
      if (wrong.length >= CHOICES - 1) break;
      if (other.kind !== 'hand') continue;
      const words = titleOf(other, item);
      if (words === titleOf(step, item) || wrong.some((each) => each.words === words)) continue;
      // It is done now, and what should have been done is forgotten.
      const instead: Item = {
        ...item,
        steps: item.steps.filter(({ id }) => id !== step.id && id !== other.id).toSpliced(at, 0, other)
      };
      if (worse(asItIs, instead, shop)) wrong.push({ id: other.id, words, leadsTo: instead });
    }
    if (wrong.length < CHOICES - 1) return [];
    const right: Choice = { id: step.id, words: titleOf(step, item) };
    return [
      drillOf(item, 'next', step.id, {
        question: `${titleOf(item.steps[at - 1] ?? step, item)} is stitched and the machine halts. What now?`,
        choices: shuffled([right, ...wrong], random),
        answer: step.id,
        why: whyOf(item, asItIs.trace, step.id) ?? 'Only this comes out right in the simulated hoop.',
        shown: item,
        until: item.steps[at - 1]?.id ?? null
      })
    ];
  });
}

/** Read the chart: what a stop does, from its row and where it stands. */
function chartDrills(item: Item, random: () => number): Drill[] {
  const stops = item.files.flatMap((file) => file.stops);
  const roles = [...new Set(stops.map(({ role }) => role))];
  if (roles.length < CHOICES) return [];
  return stops.map((stop) => {
    const others = shuffled(
      roles.filter((role) => role !== stop.role),
      random
    ).slice(0, CHOICES - 1);
    const step = item.steps.find((each) => each.kind === 'stop' && each.stopId === stop.id);
    return drillOf(item, 'chart', stop.id, {
      question: `Stop ${stop.number ?? '?'}, ${stop.chart?.colour || item.threads.find(({ id }) => id === stop.threadId)?.name || 'no colour'}, ${stop.phases.reduce((sum, { stitches }) => sum + stitches, 0).toLocaleString('en')} stitches. What does it do?`,
      choices: shuffled([stop.role, ...others], random).map((role) => ({
        id: role,
        words: ROLE_WORDS[role]
      })),
      answer: stop.role,
      why: `It is the ${ROLE_WORDS[stop.role]}: ${stop.name}.`,
      shown: item,
      until: step ? before(item, step.id) : null
    });
  });
}

/** Steps as they stand on the sheet. */
function inOrder(steps: readonly Step[], { steps: all }: Item): Step[] {
  return all.filter((step) => steps.includes(step));
}

/** By Fisher and Yates. */
function shuffled<T>(all: readonly T[], random: () => number): T[] {
  const mixed = [...all];
  for (let at = mixed.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [mixed[at], mixed[other]] = [mixed[other] as T, mixed[at] as T];
  }
  return mixed;
}
