import { choice, stopPart, thread } from '$lib/core/craft/sequence';
import { type Layer, shareOn } from '$lib/core/craft/stack';
import type { BlockMaker } from './block';
import { needsSurface, STAYS_WHOLE, type Refusal } from './refusals';
import { spotFields, spotPath } from './spots';
import { cloths, type Standing } from './standing';

const SATIN_MM = 3;
/** A window is cut so far inside its stitched line, mm. */
const INSIDE_MM = 1;

const fields = {
  ...spotFields(50, 50),
  edge: choice('Its edge', { satin: 'Satin', raw: 'None: it stays raw' }, 'satin'),
  thread: thread('Thread', 'Burgundy', '#6d1f31')
} as const;
type Spot = Parameters<typeof spotPath>[0];

/** The upper cloth cut away inside a line, so that the cloth beneath shows. */
export const reverseApplique: BlockMaker<typeof fields> = {
  kind: 'reverse-applique',
  name: 'Reverse appliqué',
  summary: 'A window is stitched and the upper cloth cut away inside it: the cloth beneath shows.',
  group: 'Openings',
  fields,
  lays: true,
  refuses: (standing, p) =>
    needsSurface(standing) ??
    cannotCut(standing, p) ??
    (p.edge === 'raw' && standing.top && !STAYS_WHOLE.includes(standing.top.material.kind)
      ? {
          why: `${standing.top.name} frays where its edge stays raw.`,
          repair: 'Give the window satin, or take felt or vinyl above.'
        }
      : null),
  make(site, p) {
    const [under, upper] = twoUnder(site.standing, p);
    if (!upper || !under) return;
    const label = site.label('Window');
    const window = site.line('window', label, spotPath(p));
    site.toMachine();
    site.stop('outline', {
      ...stopPart(`${label}: cut outline`, 'cut-line', /outline|cut|window/, [window], {
        visible: p.edge === 'raw' ? 'front' : 'hidden',
        ...(p.edge === 'satin' && { threadOf: site.key('satin') })
      }),
      passes: 2,
      ...(p.edge === 'raw' && { thread: p.thread })
    });
    site.toTable();
    site.s.must(
      site.hand(
        'cut',
        {
          do: 'trim',
          pieceIds: [upper.pieceId],
          lineId: window,
          side: 'inside',
          margin: p.edge === 'raw' ? INSIDE_MM + 1 : INSIDE_MM,
          keepIds: [under.pieceId]
        },
        { note: `Lift ${upper.name} away from ${under.name} before the first cut.` }
      )
    );
    if (p.edge === 'raw') return;
    site.toMachine();
    site.stop('satin', {
      ...stopPart(`${label}: satin`, 'applique-edge', /satin|edge/, [window], { visible: 'front' }),
      alsoRoles: ['satin-edge'],
      width: SATIN_MM,
      thread: p.thread
    });
  }
};

/** The two uppermost cloths where the window goes, the upper one last. */
function twoUnder(standing: Standing, spot: Spot): (Layer | undefined)[] {
  const path = spotPath(spot);
  const there = cloths(standing.hoop).filter((layer) => shareOn(layer, path) > 0.99);
  return [there.at(-2), there.at(-1)];
}

function cannotCut(standing: Standing, spot: Spot): Refusal | null {
  const [under, upper] = twoUnder(standing, spot);
  if (!upper)
    return { why: 'No cloth lies there all round.', repair: 'Move the window, or make it smaller.' };
  if (!under)
    return {
      why: `Nothing lies under ${upper.name} there that could show.`,
      repair: 'Lay a piece beneath it first.'
    };
  return null;
}
