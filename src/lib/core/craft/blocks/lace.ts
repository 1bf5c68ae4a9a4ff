import { shifted } from '$lib/core/base/geometry';
import { choice, count, type PatternEntry, stopPart, thread, threads } from '$lib/core/craft/sequence';
import { WASHES_OUT } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { needsRing } from './refusals';
import type { Site } from './site';
import { spotFields, spotPath } from './spots';

/** Between parts in one hoop, mm. */
export const APART_MM = 8;

const fields = {
  ...spotFields(60, 60),
  parts: count('Parts side by side', 1, 1, 6),
  thread: thread('Thread, top and bobbin', 'Cream', '#efe3c4'),
  more: threads('Further colours, in order; the bobbin changes with each'),
  mode: choice(
    'Several colours',
    { apart: 'The bobbin changes with each', 'one-run': 'All stops run as one, in one thread' },
    'apart'
  )
} as const;

/** Lace that stands by itself beside or inside the cloth. */
export const lacePart: BlockMaker<typeof fields> = {
  kind: 'lace-part',
  name: 'Lace part',
  summary: 'Underlay and lace on wash-away, the bobbin in the lace’s own colour, one part or several.',
  group: 'Openings',
  fields,
  refuses: (standing) =>
    needsRing(standing) ??
    (standing.covered || standing.under
      ? { why: 'A back would be stitched into the lace.', repair: 'Move it before the back.' }
      : standing.ring
            .filter(({ material }) => WASHES_OUT.includes(material.kind))
            .reduce((sum, { plies }) => sum + plies, 0) >= 2
        ? null
        : {
            why: 'Lace stands on two layers of wash-away at least.',
            repair: 'Take two layers of wash-away for the hooping.'
          }),
  make(site, { parts, thread: colour, more, mode, ...spot }) {
    const label = site.label('Lace');
    const lines = Array.from({ length: parts }, (_, at) =>
      site.line(
        parts > 1 ? `lace-${at}` : 'lace',
        parts > 1 ? `${label} ${at + 1}` : label,
        shifted(spotPath(spot), (at - (parts - 1) / 2) * (spot.width + APART_MM), 0)
      )
    );
    // With hands between, as for an inlay, the machine must halt.
    if (mode === 'one-run' && site.s.sofar.expected.length === 0) site.s.oneColour();
    const bobbin = site.hand('bobbin', { do: 'bobbin', threadId: `stop:${site.key('lace')}` });
    site.toMachine();
    site.stop('underlay', {
      ...stopPart('Underlay', 'lace-underlay', /underlay|net|grid|base/, lines, {
        visible: 'both',
        threadOf: site.key('lace')
      }),
      // Some files have none.
      optional: true,
      passes: 4
    });
    const lace = site.stop('lace', {
      ...stopPart(label, 'lace', /lace|fill|colou?r/, lines, { visible: 'both' }),
      one: more.length > 0 ? `${label}, colour` : label,
      alsoRoles: ['decoration', 'satin-edge', 'applique-edge', 'lettering'],
      // A row for each colour: both threads change, and tails on the back would show in lace.
      repeats: true,
      takesAny: true,
      between: mode === 'one-run' ? [] : changesBoth(site),
      protected: true,
      thread: [colour, ...more]
    });
    site.s.must(bobbin, lace);
    for (const line of lines) for (const tack of tacksIn(site, line)) site.s.threadsLike(tack, lace);
    const carrier = site.standing.ring.find(({ material }) => WASHES_OUT.includes(material.kind));
    if (carrier) site.s.truth({ kind: 'stabiliser', pieceId: carrier.id, kinds: [...WASHES_OUT], plies: 2 });
  }
};

/** Between two colours of lace. */
function changesBoth(site: Site): PatternEntry[] {
  return [
    { kind: 'hand', id: site.key('colour-off'), op: { do: 'hoop-off' } },
    { kind: 'hand', id: site.key('colour-snip'), op: { do: 'snip', side: 'back', jumps: 2 } },
    { kind: 'hand', id: site.key('colour-bobbin'), op: { do: 'bobbin', threadId: 'stop:this' } },
    { kind: 'hand', id: site.key('colour-on'), op: { do: 'hoop-on' } }
  ];
}

/** Lines of inlays on the wash-away: what holds them takes the lace’s thread. */
function tacksIn({ s }: Site, lace: string): string[] {
  return s.sofar.expected.flatMap(({ role, lineIds }) =>
    role === 'tack-down' ? lineIds.filter((id) => id !== lace) : []
  );
}
