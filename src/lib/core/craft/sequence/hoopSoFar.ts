import { cutList } from '$lib/core/craft/sizes';
import { type CutSizes, cutSizes, EMPTY_STACK, simulateStep, type StackState } from '$lib/core/craft/stack';
import { type Item, ITEM_VERSION, namesIn, type Step, type Stop } from '$lib/core/documents/item';
import type { ExpectedStop, Pattern, PatternEntry } from './pattern';

/** The ring is chosen later; it reaches so far beyond the design on each side, mm. */
const RING_BEYOND_MM = 60;

/** A step that the hoop does not allow where it stands, by the id of its entry. */
export interface Impossible {
  step: string;
  why: string;
}

/**
 * The simulated hoop along with a pattern that is being written: each step is simulated once, when somebody asks what lies in
 * the hoop by then.
 */
export class HoopSoFar {
  readonly #pattern: Readonly<Pattern>;
  #state = EMPTY_STACK;
  #done = 0;
  readonly #impossible: Impossible[] = [];

  constructor(pattern: Readonly<Pattern>) {
    this.#pattern = pattern;
  }

  /** The hoop after the last step that is written. */
  get state(): StackState {
    const { entries } = this.#pattern;
    if (this.#done === entries.length) return this.#state;
    const item = itemSoFar(this.#pattern);
    for (; this.#done < entries.length; this.#done++) {
      const step = item.steps[this.#done];
      if (!step) break;
      // Nothing is stitched for it unless a chart has it.
      if (
        step.kind === 'stop' &&
        this.#pattern.expected.some((stop) => stop.key === step.id && stop.onlyCharted)
      )
        continue;
      const { state, problem } = simulateStep(this.#state, step, item, cutsFor(step, item));
      this.#state = state;
      if (problem !== null) this.#impossible.push({ step: step.id, why: problem });
    }
    return this.#state;
  }

  /** Steps so far that cannot be done where they stand. */
  get impossible(): readonly Impossible[] {
    void this.state;
    return this.#impossible;
  }
}

/** Sizes of the pieces that a step names. */
function cutsFor(step: Step, item: Item): CutSizes {
  const named = step.kind === 'hand' ? namesIn(step.op).map(({ id }) => id) : [];
  const pieces = item.pieces.filter(({ id }) => named.includes(id));
  const { width, height } = item.variants[0]?.size ?? { width: 0, height: 0 };
  const ring = { width: width + 2 * RING_BEYOND_MM, height: height + 2 * RING_BEYOND_MM };
  return cutSizes(cutList({ ...item, pieces }, { ring }, { rounding: '5mm', margins: {} }, 1));
}

/** What is written so far as an item, its stops under the names they are expected by. */
function itemSoFar({ entries, expected, lines, pieces, variant, hoopings }: Readonly<Pattern>): Item {
  const never = new Date(0).toISOString();
  return {
    schema: 'jolt-step/item',
    version: ITEM_VERSION,
    id: 'so-far',
    name: 'So far',
    note: '',
    params: {},
    createdAt: never,
    updatedAt: never,
    threads: [],
    variants: [variant],
    hoopings,
    files: [{ id: 'file', variantId: variant.id, name: '', stops: expected.map(stopOf) }],
    lines,
    pieces,
    steps: entries.map(stepOf),
    remarks: [],
    answers: []
  };
}

function stepOf(entry: PatternEntry): Step {
  const { needs = [], hoopingId = '' } = entry;
  return entry.kind === 'hand'
    ? { kind: 'hand', id: entry.id, op: entry.op, needs, hoopingId, note: '' }
    : { kind: 'stop', id: entry.key, stopId: entry.key, needs, hoopingId, note: '', pass: 1 };
}

function stopOf(stop: ExpectedStop, at: number): Stop {
  const { key, name, role, lineIds, visible, through, estimate } = stop;
  return {
    id: key,
    number: at + 1,
    name,
    role,
    confidence: 1,
    threadId: key,
    visible,
    countSource: 'estimate',
    phases: estimate,
    lineIds,
    halts: true,
    protected: stop.protected,
    through
  };
}
