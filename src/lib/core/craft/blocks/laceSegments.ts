import { box } from '$lib/core/base/geometry';
import { choice, count, length, material, MATERIALS, stopPart, thread } from '$lib/core/craft/sequence';
import { WASHES_OUT } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { needsNoRing } from './refusals';
import type { Site } from './site';

/** Stitches in one square millimetre of such lace. */
const DENSITY = 1.1;

/** What is asked of it; a construction that is this block alone asks the same. */
export const segmentFields = {
  width: length('One segment, width', 110, 40, 300),
  height: length('One segment, height', 160, 40, 350),
  segments: count('Segments', 2, 1, 6, 'each is one hooping; every other one is mirrored'),
  layers: count('Layers of wash-away', 1, 1, 3),
  colours: choice(
    'Colours of the lace',
    { 'one-run': 'All as one run, in one thread', apart: 'Each in its own thread' },
    'one-run'
  ),
  mesh: material('Mesh', { 'stretch-mesh': 'Stretch mesh' }, ['stretch-mesh', 'Stretch mesh', '#d8d2cc']),
  thread: thread('Thread', 'Fern green', '#4d7148')
} as const;

/** Long segments of lace on stretch mesh, each a hooping, every other one mirrored. */
export const laceSegments: BlockMaker<typeof segmentFields> = {
  kind: 'lace-segments',
  name: 'Segments of lace on stretch mesh',
  summary: 'Mesh over wash-away, one long stop to a segment, as many hoopings as there are segments.',
  group: 'Hooping',
  fields: segmentFields,
  refuses: needsNoRing,
  make(site, p) {
    if (p.colours === 'one-run') site.s.oneColour();
    site.hand('needle', { do: 'needle', needle: 'ballpoint 75/11' });
    for (let at = 1; at <= p.segments; at++) segment(site, p, at);
    site.s.ends({
      edge: 'lace',
      size: { width: p.width, height: p.height },
      finished: { width: p.width, height: p.height * p.segments }
    });
  }
};

function segment(site: Site, p: Parameters<(typeof laceSegments)['make']>[1], at: number): void {
  const { s } = site;
  const several = p.segments > 1;
  const numbered = (name: string): string => (several ? `${name} ${at}` : name);
  const hooping = site.newHooping();
  const path = box(-p.width / 2, -p.height / 2, p.width / 2, p.height / 2);
  const line = s.line(site.key(`lace-${at}`), numbered('Lace'), path, hooping);
  const base = site.piece(`base-${at}`, numbered('Wash-away'), MATERIALS.washAway, 'hooped', {
    plies: p.layers
  });
  const mesh = site.piece(`mesh-${at}`, numbered('Mesh'), p.mesh, 'hooped', { shows: 'front' });
  s.hoop(hooping, several ? `Segment ${at}` : 'Hooping', [base, mesh]);
  const bobbin = site.hand(`bobbin-${at}`, { do: 'bobbin', threadId: `stop:${site.key('lace-1')}` });
  site.toMachine();
  const name = at % 2 === 0 ? `Lace ${at}, mirrored` : numbered('Lace');
  const lace = site.stop(`lace-${at}`, {
    ...stopPart(name, 'lace', /lace|run|fill/, [line], { visible: 'both' }),
    one: name,
    protected: true,
    // One row, or one for each colour; every segment runs them all again.
    repeats: true,
    takesAny: true,
    ...(at > 1 ? { threadOf: site.key('lace-1'), again: site.key('lace-1') } : { thread: p.thread }),
    // A bobbin cannot last: the halts are planned where the segment is least dense.
    estimate: [{ stitches: Math.ceil(p.width * p.height * DENSITY), length: 2.2, attended: false }]
  });
  site.outOfTheRing(`-${at}`);
  s.must(lace, ...(at === 1 ? [bobbin] : []));
  s.truth({ kind: 'stabiliser', pieceId: base, kinds: [...WASHES_OUT], plies: 1 });
}
