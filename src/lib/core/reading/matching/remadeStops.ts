import { isSame } from '$lib/core/documents/changes';
import { type Item, type Stop, stitchesOf } from '$lib/core/documents/item';
import { scaled } from './addVariant';
import { stopsOf } from './inTheirNames';

type File = Item['files'][number];

/** What a maker may have changed of a stop, and what blocks may make otherwise. */
const SHARED = ['name', 'role', 'threadId', 'visible', 'protected', 'through', 'lineIds', 'number'] as const;

/**
 * The files of an item made anew: its stops keep their numbers, chart rows, counts and threads where the maker or a chart gave
 * them; what blocks brought follows the blocks.
 *
 * @param was the assembly before, and `is` the one now, both in the item’s names
 * @param kept whether a stop that the item does not have is wanted all the same
 */
export function remadeFiles(item: Item, was: Item, is: Item, wanted: (stop: Stop) => boolean): File[] {
  const before = new Map(stopsOf(was).map((stop) => [stop.id, stop]));
  const mine = new Map(stopsOf(item).map((stop) => [stop.id, stop]));
  const made = stopsOf(is);
  const keys = new Set(made.map(({ expects }) => expects));
  const fresh = made.filter((stop) => !mine.has(stop.id) && wanted(stop));
  // A sheet numbers stops as the file does, chart or no chart.
  const charted = item.paper !== undefined || stopsOf(item).some(({ chart }) => chart !== undefined);
  const update = (stop: Stop): Stop => {
    const now = made.find(({ id }) => id === stop.id);
    return now ? remadeStop(stop, before.get(stop.id), now, charted) : stop;
  };
  const stays = (stop: Stop): boolean =>
    stop.expects === undefined || keys.has(stop.expects) || stop.chart !== undefined;
  const withoutPlace = (stop: Stop): Stop => {
    if (stop.expects === undefined || keys.has(stop.expects)) return stop;
    // Its row is in the file all the same.
    return { ...stop, expects: undefined, lineIds: [] };
  };
  if (charted) {
    const files = item.files.map((file) => ({
      ...file,
      stops: file.stops.filter(stays).map(update).map(withoutPlace)
    }));
    const [first] = item.files;
    const added = item.files.find(({ id }) => id === ADDED);
    if (fresh.length === 0 || !first) return files;
    const own = (stops: Stop[]): Stop[] => stops.map((stop, at) => ({ ...stop, number: at + 1 }));
    return added
      ? files.map((file) => (file.id === ADDED ? { ...file, stops: own([...file.stops, ...fresh]) } : file))
      : [
          ...files,
          {
            id: ADDED,
            variantId: first.variantId,
            name: `${item.name}, added`.slice(0, 200),
            stops: own(fresh)
          }
        ];
  }
  return is.files.map((file, at) => ({
    ...file,
    ...pick(item.files[at]),
    stops: numbered(
      [
        ...file.stops.flatMap((stop) => {
          const own = mine.get(stop.id);
          if (own) return [update(own)];
          return wanted(stop) || stop.expects === undefined ? [stop] : [];
        }),
        ...(at === 0
          ? stopsOf(item).filter(
              (stop) => stop.expects === undefined && !made.some(({ id }) => id === stop.id)
            )
          : [])
      ],
      file.stops
    )
  }));
}

/** The file of stops that the chart does not have. */
const ADDED = 'file-added';

function pick(file: File | undefined): Partial<File> {
  return file
    ? { id: file.id, name: file.name, ...(file.oneColour !== undefined && { oneColour: file.oneColour }) }
    : {};
}

/** Numbers follow the order of the file, where nobody has charted it. */
function numbered(stops: Stop[], like: readonly Stop[]): Stop[] {
  const first = like[0]?.number ?? 1;
  return stops.map((stop, at) => (stop.number === null ? stop : { ...stop, number: first + at }));
}

function remadeStop(mine: Stop, was: Stop | undefined, is: Stop, keepsNumber: boolean): Stop {
  const next: Stop = { ...mine };
  for (const key of SHARED) {
    if (key === 'number' && keepsNumber) continue;
    if (was === undefined || isSame(mine[key], was[key])) Object.assign(next, { [key]: is[key] });
  }
  if (mine.chart && mine.threadId !== was?.threadId) next.threadId = mine.threadId;
  next.lineIds = mine.stitched ? mine.lineIds : next.lineIds;
  const counted = mine.countSource === 'chart' || mine.countSource === 'maker';
  if (!counted && (was === undefined || isSame(mine.phases, was.phases))) next.phases = is.phases;
  else if (mine.countSource === 'chart' && was && stitchesOf(mine) > 0)
    next.phases = scaled(mine, was, is) ?? mine.phases;
  return next;
}
