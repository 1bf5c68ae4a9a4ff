import { stepDoes } from '$lib/core/craft/operations';
import { extentsOfAll, shapePath, shifted } from '$lib/core/base/geometry';
import {
  choice,
  count,
  length,
  MATERIALS,
  outline,
  type Sequence,
  stopPart,
  thread
} from '$lib/core/craft/sequence';
import { WASHES_OUT } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { APART_MM } from './lace';
import { needsNoRing } from './refusals';
import type { Site } from './site';

/** Wash-away is left round a part so far, mm. */
const ROUGHLY_MM = 5;

const fields = {
  parts: count('Parts in all', 6, 1, 40),
  together: count('In one hooping', 2, 1, 12),
  shape: outline('oval', 'tab', 'rounded', 'rectangle', 'shield', 'heart', 'triangle', 'hexagon'),
  width: length('One part, width', 60, 10, 400),
  height: length('One part, height', 60, 10, 400),
  lie: choice('They lie', { beside: 'Side by side', below: 'One below the other' }, 'beside'),
  layers: count('Layers of wash-away', 2, 2, 4, 'three for dense lace'),
  thread: thread('Thread, top and bobbin', 'Cream', '#efe3c4')
} as const;

/** Lace parts that are alike, over as many hoopings as they need; each hooping is taken out by itself. */
export const partsSet: BlockMaker<typeof fields> = {
  kind: 'parts-set',
  name: 'A set of lace parts',
  summary:
    'Lace parts that are alike, so many to a hooping and as many hoopings as they need; rinsed and joined later, once.',
  group: 'Hooping',
  fields,
  refuses: needsNoRing,
  make(site, p) {
    for (let first = 0, at = 1; first < p.parts; first += p.together, at++)
      oneHooping(site, p, at, first, Math.min(p.together, p.parts - first));
  }
};

type Answers = Parameters<(typeof partsSet)['make']>[1];

function oneHooping(site: Site, p: Answers, at: number, first: number, many: number): void {
  const { s } = site;
  const label = site.label('Part');
  const id = site.newHooping();
  const pitch = (p.lie === 'beside' ? p.width : p.height) + APART_MM;
  const base = site.piece(`base-${at}`, 'Wash-away', MATERIALS.washAway, 'hooped', { plies: p.layers });
  const lines = Array.from({ length: many }, (_, index) => {
    const away = (index - (many - 1) / 2) * pitch;
    const path = shapePath(p.shape, p.width, p.height);
    return s.line(
      site.key(`part-${first + index + 1}`),
      p.parts === 1 ? label : `${label} ${first + index + 1}`,
      p.lie === 'beside' ? shifted(path, away, 0) : shifted(path, 0, away),
      id
    );
  });
  s.hoop(id, `${label}s, hooping ${at}`, [base]);
  // The bobbin of a set in the same colour is still on.
  const wound = woundFor(s, p.thread.name);
  if (wound === undefined)
    s.must(site.hand(`bobbin-${at}`, { do: 'bobbin', threadId: `stop:${site.key(`lace-${at}`)}` }));
  site.toMachine();
  site.stop(`underlay-${at}`, {
    ...stopPart('Underlay', 'lace-underlay', /underlay|net|grid/, lines, {
      visible: 'both',
      threadOf: wound ?? site.key(`lace-${at}`)
    }),
    optional: true,
    passes: 4
  });
  const lace = site.stop(`lace-${at}`, {
    ...stopPart(label, 'lace', /lace|fill/, lines, { visible: 'both' }),
    alsoRoles: ['decoration', 'satin-edge'],
    protected: true,
    ...(wound === undefined ? { thread: p.thread } : { threadOf: wound })
  });
  s.must(lace);
  s.truth({
    kind: 'stabiliser',
    pieceId: base,
    kinds: [...WASHES_OUT],
    plies: 2
  });
  const out = site.outOfTheRing(`-${at}`, [lace]);
  const [line = '', ...others] = lines;
  site.hand(
    `cut-${at}`,
    {
      do: 'cut-roughly',
      lineId: line,
      margin: ROUGHLY_MM,
      ...(others.length > 0 && { alsoLineIds: others })
    },
    { needs: [out] }
  );
  s.ends({ edge: 'lace', size: stitched(site) });
}

/** The stop whose colour the bobbin was wound in last, where it is this one. */
function woundFor({ sofar }: Sequence, colour: string): string | undefined {
  const wound = sofar.entries.flatMap((entry) => stepDoes(entry, 'wind') ?? []).at(-1);
  const key = wound?.threadId?.replace('stop:', '');
  return key !== undefined && sofar.threads[key]?.[0]?.name === colour ? key : undefined;
}

/** What is stitched at most in one hooping, where nothing covers the outline of the whole item. */
function stitched({ s, frame }: Site): { width: number; height: number } {
  const used = new Set(s.sofar.expected.flatMap(({ lineIds }) => lineIds));
  const box = extentsOfAll(s.sofar.lines.filter(({ id }) => used.has(id)).map(({ path }) => path));
  return box && !used.has(frame.outlineId) && !used.has(frame.seamId)
    ? { width: 2 * Math.max(-box.minX, box.maxX), height: 2 * Math.max(-box.minY, box.maxY) }
    : s.sofar.variant.size;
}
