import { box, type Path, segment, shifted } from '$lib/core/base/geometry';
import { constructionOf } from '$lib/core/craft/constructions';
import type { Block, Item, Material } from '$lib/core/documents/item';
import { assemble } from '$lib/core/reading/matching';
import {
  fillStitches,
  joined,
  packStitches,
  runStitches,
  satinStitches,
  type Stitches
} from '$lib/core/stitching/stitches';

/** What a test stitch is to try. */
export interface TrialWish {
  cloth: Material;
  /** Threads of the item it is for, the first three of which are tried. */
  threads: readonly { name: string; colour: string }[];
  stabiliser: 'tear-away' | 'cutaway';
  /** The item it is for; null for none. */
  of: string | null;
}

/** Distances between rows that are tried, mm: from dense to open about the usual ones. */
export const SPACINGS = [0.35, 0.4, 0.45, 0.5] as const;
/** How far over the cut edge an edge is tried, mm. */
export const OVERLAPS = [0.5, 1, 1.5, 2] as const;

/** The whole test, and its parts, mm. */
const SIDE = 96;
const THREADS = 3;
const H = { width: 10, height: 16 };
const COLUMNS = [1.5, 3, 4.5];
const PATCH = 14;
const EDGE = { width: 4, length: 18 };
const SQUARE = 26;

/**
 * A small trial to be stitched before a costly item, as an item of blocks with stitches of its own: H-shaped lines and satin
 * columns for the tension in each thread, four densities, an edge at four overlaps over a straight cut, and a square to be cut
 * on its line.
 *
 * @param now ISO 8601
 *
 * @example
 * trialItem({ cloth: vinyl, threads: [brass], stabiliser: 'tear-away', of: null }, { id: 't', now }).files[0]?.stops.length
 */
export function trialItem(
  { cloth, threads, stabiliser, of }: TrialWish,
  { id, name, now }: { id: string; name: string; now: string }
): Item {
  const tried = threads.slice(0, THREADS);
  const [first = { name: 'White', colour: '#ffffff' }] = tried;
  const stops: { title: string; role: string; thread: typeof first; stitches: Stitches }[] = [
    ...tried.map((thread, at) => ({
      title: `Tension, ${thread.name}`.slice(0, 60),
      role: 'decoration',
      thread,
      stitches: tensionAt(-32 + at * 32, -34)
    })),
    { title: 'Density, four squares', role: 'decoration', thread: first, stitches: densities(-8) },
    { title: 'Line for the strip', role: 'placement', thread: first, stitches: runStitches(stripEdge()) },
    { title: 'Edge, four overlaps', role: 'decoration', thread: first, stitches: overlaps() },
    {
      title: 'Square to cut on',
      role: 'decoration',
      thread: first,
      stitches: runStitches(shifted(box(-SQUARE / 2, -SQUARE / 2, SQUARE / 2, SQUARE / 2), 28, 32))
    }
  ];
  const blocks = blocksFor(cloth, stabiliser, stops);
  const own = constructionOf('own');
  const made = own?.patternOf({ shape: 'rectangle', width: SIDE, height: SIDE }, blocks);
  if (!made?.ok) throw new RangeError(made?.problems.join(' ') ?? 'There are no blocks to make a test of.');
  const item = assemble(made.pattern, { id, name, now, construction: 'own', params: made.params });
  const stitchesOf = new Map(stops.map(({ title, stitches }) => [title, stitches]));
  return {
    ...item,
    blocks: made.blocks,
    trial: { of },
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) => {
        const stitches = stitchesOf.get(stop.name);
        return stitches
          ? {
              ...stop,
              countSource: 'geometry' as const,
              phases: [{ stitches: stitches.x.length, attended: false }],
              stitched: packStitches(stitches, 'list')
            }
          : stop;
      })
    }))
  };
}

function blocksFor(
  cloth: Material,
  stabiliser: TrialWish['stabiliser'],
  stops: readonly { title: string; role: string; thread: { name: string; colour: string } }[]
): Block[] {
  const stopBlock = ({ title, role, thread }: (typeof stops)[number], at: number): Block => ({
    id: `stop-${at}`,
    kind: 'own-stop',
    name: title,
    answers: { title, role, shape: 'rectangle', width: SIDE - 8, height: SIDE - 8, thread }
  });
  const step = (id: string, title: string, seconds: number): Block => ({
    id,
    kind: 'hand-step',
    name: title,
    answers: { title, seconds }
  });
  const [line, ...rest] = stops.slice(-3);
  return [
    { id: 'hooping', kind: 'hooping', answers: { stabiliser } },
    { id: 'front', kind: 'front', answers: { cloth, held: 'tape', thread: stops[0]?.thread } },
    ...stops.slice(0, -3).map(stopBlock),
    ...(line ? [stopBlock(line, stops.length - 3)] : []),
    step('strip', 'Tape a strip of the cloth on, its cut edge on the line', 45),
    ...rest.map((stop, at) => stopBlock(stop, stops.length - 2 + at)),
    { id: 'finishing', kind: 'finishing', answers: { pressed: 'no' } },
    step('cut', 'Cut the square out on its line, then measure it', 90)
  ];
}

/** An H of running stitch and three satin columns beside it, from its upper left corner. */
function tensionAt(x: number, y: number): Stitches {
  const left = x - 14;
  const lines: Path[] = [
    segment(left, y - H.height / 2, left, y + H.height / 2),
    segment(left + H.width, y - H.height / 2, left + H.width, y + H.height / 2),
    segment(left, y, left + H.width, y)
  ];
  const columns = COLUMNS.map((width, at) => {
    const middle = left + H.width + 4.5 + at * 5;
    return satinStitches(segment(middle, y - H.height / 2, middle, y + H.height / 2), {
      width,
      underlay: 'none'
    });
  });
  return joined([...lines.map((line) => runStitches(line)), ...columns]);
}

function densities(y: number): Stitches {
  return joined(
    SPACINGS.map((spacing, at) => {
      const x = -33 + at * 22;
      return fillStitches(shifted(box(-PATCH / 2, -PATCH / 2, PATCH / 2, PATCH / 2), x, y), { spacing });
    })
  );
}

const STRIP_Y = 16;
function stripEdge(): Path {
  return segment(-40, STRIP_Y, -40 + OVERLAPS.length * EDGE.length, STRIP_Y);
}

/** Satin along the cut edge of the strip, reaching further over it from part to part. */
function overlaps(): Stitches {
  return joined(
    OVERLAPS.map((over, at) => {
      const from = -40 + at * EDGE.length;
      // The strip lies above its edge; the satin’s lower side hangs this far over it.
      const y = STRIP_Y - EDGE.width / 2 + over;
      return satinStitches(segment(from + 1, y, from + EDGE.length - 1, y), { width: EDGE.width });
    })
  );
}
