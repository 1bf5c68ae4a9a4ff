import type { Hoop, Shop } from '$lib/core/documents/shop';
import {
  canShare,
  type ComposedHooping,
  hoopedWith,
  type SharedPart,
  sharedLayout,
  type StationOf
} from '$lib/core/ordering/hoopings';
import type { BatchInput, LinePlan } from './linePlan';

/** Items that share one hoop at most: more would be looked for at the machine for too long. */
const MOST_ITEMS = 6;

/**
 * Puts remainders of different items into one hoop: those that are hooped on the same material, stitched in one clamping, and
 * find room together. The largest first, each into the first hoop that takes it as well.
 */
export class HoopSharing {
  readonly #lines: Map<string, LinePlan>;
  readonly #fits = new Map<string, boolean>();

  constructor(
    lines: readonly LinePlan[],
    readonly stations: readonly StationOf[],
    readonly shop: Shop,
    readonly groupOf: NonNullable<BatchInput['groupOf']>
  ) {
    this.#lines = new Map(lines.map((line) => [line.context.line.id, line]));
  }

  /**
   * Hoopings with what can be stitched together put together; the same list where nothing can.
   *
   * @example
   * sharing.share([tabs of 2, badges of 2])[0]?.and // [{ lineId: 'badges', copies: 2 }]
   */
  share(hoopings: readonly ComposedHooping[]): readonly ComposedHooping[] {
    const least = new Map<string, ComposedHooping>();
    for (const each of hoopings)
      if (this.#mayShare(each) && each.copies < (least.get(each.lineId)?.copies ?? Infinity))
        least.set(each.lineId, each);
    const rests = [...least.values()].toSorted((a, b) => this.#size(b) - this.#size(a));
    const groups: ComposedHooping[][] = [];
    for (const rest of rests) {
      const group = groups.find((each) => this.#join(each, rest));
      if (group) group.push(rest);
      else groups.push([rest]);
    }
    const shared = groups.filter((group) => group.length > 1);
    if (shared.length === 0) return hoopings;
    const taken = new Set(shared.flat());
    return [
      ...hoopings.filter((each) => !taken.has(each)),
      ...shared.flatMap((group): ComposedHooping[] => {
        const [first, ...others] = group;
        const hoop = this.#hoopFor(group);
        return first && hoop
          ? [
              {
                ...first,
                hoopId: hoop.id,
                and: others.map(({ lineId, copies }) => ({ lineId, copies }))
              }
            ]
          : group;
      })
    ];
  }

  /** A hooping of all that is stitched of an item, which the maker has not laid out by hand. */
  #mayShare({ lineId, copies, stage, follows }: ComposedHooping): boolean {
    const line = this.#lines.get(lineId);
    if (!line || stage > 0 || follows !== null) return false;
    const { context, hoop } = line;
    if (Object.keys(context.line.placed).some((key) => key.endsWith(` 0 ${copies}`))) return false;
    return this.stations.some(({ machine, heads }) => heads === 1 && canShare(context, machine, hoop));
  }

  #size({ lineId, copies }: ComposedHooping): number {
    const line = this.#lines.get(lineId);
    const machine = this.stations[0]?.machine;
    const [stage] = line && machine ? line.context.stagesOf(machine, line.hoop) : [];
    if (!line || !machine || !stage) return 0;
    const { width, height } = line.context.outlineOf(stage, machine, line.hoop);
    return copies * width * height;
  }

  /** Whether a hooping can be stitched together with others that share a hoop already. */
  #join(group: readonly ComposedHooping[], rest: ComposedHooping): boolean {
    if (group.length >= MOST_ITEMS || group.some(({ lineId }) => lineId === rest.lineId)) return false;
    const [first] = group;
    const [a, b] = [this.#lines.get(first?.lineId ?? ''), this.#lines.get(rest.lineId)];
    if (!a || !b || this.groupOf(a.context.line.id) !== this.groupOf(b.context.line.id)) return false;
    return (
      hoopedWith(a.context.item) === hoopedWith(b.context.item) && this.#hoopFor([...group, rest]) !== null
    );
  }

  /** The smallest hoop that takes all of them. */
  #hoopFor(group: readonly ComposedHooping[]): Hoop | null {
    const area = ({ ring }: Hoop): number => ring.width * ring.height;
    return (
      this.shop.hoops.toSorted((a, b) => area(a) - area(b)).find((hoop) => this.#fit(group, hoop)) ?? null
    );
  }

  #fit(group: readonly ComposedHooping[], hoop: Hoop): boolean {
    const key = `${hoop.id} ${group.map(({ lineId, copies }) => `${lineId} ${copies}`).join()}`;
    let known = this.#fits.get(key);
    if (known === undefined) {
      const parts = group.flatMap(({ lineId, copies }): SharedPart[] => {
        const line = this.#lines.get(lineId);
        return line ? [{ context: line.context, copies }] : [];
      });
      known = this.stations.some((station) => fitOn(parts, station, hoop));
      this.#fits.set(key, known);
    }
    return known;
  }
}

/** Whether items can be stitched in one hoop on a machine. */
export function fitOn(
  parts: readonly SharedPart[],
  { machine, heads }: Pick<StationOf, 'machine' | 'heads'>,
  hoop: Hoop
): boolean {
  return (
    heads === 1 &&
    parts.every(({ context }) => canShare(context, machine, hoop)) &&
    sharedLayout(parts, machine, hoop) !== null
  );
}
