import { forVariant, type Item, variantOf } from '$lib/core/documents/item';
import { type OrderLine, type Turn, TURNS } from '$lib/core/documents/order';
import type { Plan } from '$lib/core/documents/plan';
import type { Way } from '$lib/core/documents/run';
import {
  defaultSetup,
  fitIn,
  type Hoop,
  type Machine,
  type Setup,
  type Shop
} from '$lib/core/documents/shop';
import { planAndTrace, type PlanAndTrace } from '$lib/core/making/plan';
import { matchingBobbins } from '$lib/core/craft/stack';
import { outlineOf, reachedArea } from '$lib/core/ordering/copies';
import { type Area, type CopyLayout, type CopyOutline, layOutCopies } from '$lib/core/solvers/nesting';
import type { JobTimes } from '$lib/core/solvers/schedule';
import { bobbinAfter } from './bobbins';
import { copiesPerHead, hoopingSteps } from './hoopingSteps';
import { type HoopingContext } from './repeated';
import { reachBeyond } from './reach';
import { type Copies, type PhasedStep, type Stage, stagesOf } from './stages';
import { compareWays, type WayCost } from './ways';
import { workTimes } from './work';

/** Free space between two copies where nobody has said, mm. */
const USUAL_GAP_MM = 20;

const MOST_IN_A_HOOP = 60;

const ALONE: CopyLayout = {
  placements: [{ part: 0, x: 0, y: 0, turn: 0, mirrored: false }],
  how: 'rows',
  inRows: 1,
  pitch: null
};

/** A machine as an order sees it: one whose heads run apart is as many machines as it has heads. */
export interface StationOf {
  id: string;
  name: string;
  machine: Machine;
  /** Heads that stitch together. */
  heads: number;
}

/**
 * The machines of an order, heads that run apart each by itself.
 *
 * @param ids machines wanted; all of them where empty
 *
 * @example
 * stationsOf(shopWithFourHeadsApart, []).map(({ id }) => id) // ['multi/1', 'multi/2', 'multi/3', 'multi/4']
 */
export function stationsOf({ machines }: Pick<Shop, 'machines'>, ids: readonly string[]): StationOf[] {
  const wanted = machines.filter(({ id }) => ids.length === 0 || ids.includes(id));
  return (wanted.length > 0 ? wanted : machines).flatMap((machine): StationOf[] =>
    machine.headsRun === 'apart' && machine.heads > 1
      ? Array.from({ length: machine.heads }, (_, at) => ({
          id: `${machine.id}/${at + 1}`,
          name: `${machine.name}, head ${at + 1}`,
          machine,
          heads: 1
        }))
      : [{ id: machine.id, name: machine.name, machine, heads: machine.heads }]
  );
}

/** One line of an order with everything that is computed of it, each thing once. */
export class LineContext {
  readonly #kept = new Map<string, unknown>();

  /** The item as the variant of the line has it. */
  readonly item: Item;

  constructor(
    readonly line: OrderLine,
    item: Item,
    readonly setup: Setup | undefined,
    readonly shop: Shop
  ) {
    this.item = forVariant(item, line.variantId ?? setup?.variantId);
  }

  get variantId(): string {
    return this.setupFor(null, null).variantId;
  }

  /** The setup of one copy on a machine in a hoop. */
  setupFor(machine: Machine | null, hoop: Hoop | null): Setup {
    const own = this.setup ?? defaultSetup(this.item, this.shop);
    const variant = variantOf(this.item, this.line.variantId ?? own.variantId);
    return {
      ...own,
      variantId: variant?.id ?? own.variantId,
      ...(machine && { machineId: machine.id }),
      ...(hoop && { hoopId: hoop.id }),
      // How a copy lies is for the layout to say.
      turned: false,
      copies: 1
    };
  }

  planOf(machine: Machine, hoop: Hoop): Plan {
    return this.#madeOf(machine, hoop).plan;
  }

  #madeOf(machine: Machine, hoop: Hoop): PlanAndTrace {
    return this.#once(`plan ${machine.id} ${hoop.id}`, () =>
      planAndTrace(this.item, this.setupFor(machine, hoop), this.shop)
    );
  }

  /** Steps whose bobbin must be wound with their own thread, whatever machine and hoop. */
  #matching(machine: Machine, hoop: Hoop): ReadonlySet<string> {
    return this.#once('matching', () => {
      const last = this.#madeOf(machine, hoop).trace.at(-1)?.state;
      return last ? matchingBobbins(this.item, last) : new Set<string>();
    });
  }

  stagesOf(machine: Machine, hoop: Hoop): Stage[] {
    return this.#once(`stages ${machine.id} ${hoop.id}`, () => {
      const hoopingOf = new Map(this.item.steps.map(({ id, hoopingId }) => [id, hoopingId]));
      return stagesOf(this.planOf(machine, hoop), hoopingOf);
    });
  }

  /** What one copy takes up in a stage. */
  outlineOf(stage: Stage, machine: Machine, hoop: Hoop): CopyOutline {
    return this.#once(`outline ${stage.index}`, () =>
      outlineOf(
        this.item,
        this.variantId,
        stage.hoopingIds,
        reachBeyond(this.planOf(machine, hoop), stage, this.item)
      )
    );
  }

  areaOf(machine: Machine, hoop: Hoop): Area {
    const needles = this.planOf(machine, hoop).steps.flatMap(({ needle }) => needle ?? []);
    return reachedArea(hoop, machine, [...new Set(needles)]);
  }

  get gap(): number {
    return this.line.gap ?? USUAL_GAP_MM;
  }

  /** Ways round a copy may lie: any where the line says so, a quarter turned where the hoop takes it no other way. */
  turnsIn(hoop: Hoop): readonly Turn[] {
    if (this.line.turned) return TURNS;
    const size = variantOf(this.item, this.variantId)?.size;
    return size && fitIn(hoop, size)?.turned ? [90] : [0];
  }

  /** As many copies as a hoop takes, or as are wanted of it. */
  layoutOf(stage: Stage, machine: Machine, hoop: Hoop, most = this.most): CopyLayout {
    const needles = JSON.stringify(this.areaOf(machine, hoop));
    return this.#once(
      `layout ${stage.index} ${hoop.id} ${needles} ${most} ${machine.panel?.copies ?? ''}`,
      () => {
        const outline = this.outlineOf(stage, machine, hoop);
        if (this.movesHoop(stage)) return ALONE;
        return layOutCopies(outline, this.areaOf(machine, hoop), {
          gap: this.gap,
          most: machine.panel?.copies === 'one' ? 1 : most,
          rowsOnly: machine.panel !== undefined,
          turns: this.turnsIn(hoop)
        });
      }
    );
  }

  get most(): number {
    return this.line.most ?? MOST_IN_A_HOOP;
  }

  /** A file that moves the hoop to a second position fills it by itself. */
  movesHoop(stage: Stage): boolean {
    return stage.steps.some(({ step }) => step.op?.do === 'mount');
  }

  capacity(stage: Stage, machine: Machine, hoop: Hoop): number {
    return this.layoutOf(stage, machine, hoop).placements.length;
  }

  contextOf(machine: Machine, hoop: Hoop): HoopingContext {
    const made = this.planOf(machine, hoop);
    return {
      item: this.item,
      machine,
      shop: this.shop,
      person: this.setup?.person ?? '',
      matching: this.#matching(machine, hoop),
      bobbinMetres: made.bobbin.metres
    };
  }

  waysOf(stage: Stage, copies: Copies, machine: Machine, hoop: Hoop): WayCost[] {
    return this.#once(`ways ${stage.index} ${machine.id} ${hoop.id} ${copies.total}/${copies.heads}`, () =>
      compareWays(stage, copies, this.contextOf(machine, hoop))
    );
  }

  wayOf(stage: Stage, copies: Copies, machine: Machine, hoop: Hoop): Way {
    const ways = this.waysOf(stage, copies, machine, hoop).map(({ way }) => way);
    const { way } = this.line;
    return way && ways.includes(way) ? way : (ways[0] ?? 'copy-by-copy');
  }

  /** Steps of a hooping, in the quickest way or the one its run follows, from so much on the bobbin; a full one where missing, m. */
  stepsOf(
    stage: Stage,
    copies: Copies,
    machine: Machine,
    hoop: Hoop,
    way: Way = this.wayOf(stage, copies, machine, hoop),
    bobbinLeft?: number
  ): PhasedStep[] {
    return this.#once(
      `steps ${stage.index} ${machine.id} ${hoop.id} ${copies.total}/${copies.heads} ${way} ${bobbinLeft ?? ''}`,
      () =>
        hoopingSteps(stage, copies, way, {
          ...this.contextOf(machine, hoop),
          ...(bobbinLeft !== undefined && { bobbinLeft })
        })
    );
  }

  /** Times of a hooping on a station; null where the copies do not fit its heads. */
  timesOn(
    stageIndex: number,
    total: number,
    { machine, heads: all }: StationOf,
    hoop: Hoop
  ): JobTimes | null {
    const stage = this.stagesOf(machine, hoop)[stageIndex];
    if (!stage || !this.allowed(machine)) return null;
    const copies = { total, heads: Math.min(all, total) };
    if (copiesPerHead(copies) > this.capacity(stage, machine, hoop)) return null;
    return this.#once(`times ${stageIndex} ${machine.id} ${hoop.id} ${total}/${copies.heads}`, () =>
      this.timesOf(this.stepsOf(stage, copies, machine, hoop), copies, stage, machine, hoop)
    );
  }

  /** Times of some steps of a stage, all of them or those that are left; the hoop may stay on for what comes after. */
  timesOf(
    steps: readonly PhasedStep[],
    copies: Copies,
    stage: Stage,
    machine: Machine,
    hoop: Hoop,
    staysOn = false
  ): JobTimes {
    const isLast = stage.index === this.stagesOf(machine, hoop).length - 1;
    const made = this.planOf(machine, hoop);
    const stops = steps.flatMap(({ step }) => step.stop ?? []);
    return {
      ...workTimes(steps, this.item, copies, { isLast, staysOn }),
      setUp: made.steps.find(({ op }) => op?.do === 'set-up')?.hands.value ?? 0,
      bobbinAfter: bobbinAfter(stops, made.bobbin.metres)
    };
  }

  allowed({ id }: Machine): boolean {
    return this.line.machineIds.length === 0 || this.line.machineIds.includes(id);
  }

  #once<T>(key: string, make: () => T): T {
    if (!this.#kept.has(key)) this.#kept.set(key, make());
    return this.#kept.get(key) as T;
  }
}
