import type { Path } from '$lib/core/base/geometry';
import { choice, count, heldOn, hold, onlyWhere, stopPart, thread } from '$lib/core/craft/sequence';
import type { Layer } from '$lib/core/craft/stack';
import { isStabiliserKind } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { saidName } from './layPiece';
import { stitchDown } from './piece';
import { edgeField } from './pieceFields';
import { beforeClosing, type Refusal } from './refusals';
import type { Site } from './site';
import { spotFields, spotPath } from './spots';
import type { Standing } from './standing';

const spot = spotFields(80, 80);
const fields = {
  from: count('Made in hooping', 1, 1, 40),
  place: choice(
    'Its place',
    { spot: 'A shape of its own', cut: 'Its own outline, as it was cut out' },
    'spot'
  ),
  shape: onlyWhere(spot.shape, 'place', 'spot'),
  width: onlyWhere(spot.width, 'place', 'spot'),
  height: onlyWhere(spot.height, 'place', 'spot'),
  across: onlyWhere(spot.across, 'place', 'spot'),
  down: onlyWhere(spot.down, 'place', 'spot'),
  lies: choice('It lies', { up: 'Right side up', down: 'Right side down' }, 'up'),
  top: edgeField('Its upper edge', 'open'),
  right: edgeField('Its right edge', 'stitched'),
  bottom: edgeField('Its lower edge', 'stitched'),
  left: edgeField('Its left edge', 'stitched'),
  held: hold('Held with', 'tape'),
  thread: thread('Thread of its own stitching', 'Cream', '#efe3c4')
} as const;

/** Work of an earlier hooping laid on this one, with all that is sewn to it. */
export const carried: BlockMaker<typeof fields> = {
  kind: 'carried',
  name: 'Part from an earlier hooping',
  summary:
    'What an earlier hooping made is laid on this one, with all that is sewn to it; the next seam joins it.',
  group: 'Cloth',
  fields,
  refuses: (standing, { from }) => beforeClosing(standing) ?? notMade(standing, from),
  make(site, p) {
    const main = madeIn(site.standing, p.from);
    if (!main) return;
    const label = site.label(saidName(main));
    const cut = p.place === 'cut' ? cutOut(site) : undefined;
    const area = site.line('area', `Place of the ${main.name.toLowerCase()}`, cut?.path ?? spotPath(p));
    site.toMachine();
    site.stop('placement', {
      ...stopPart(`${label}: placement`, 'placement', /place|position/, [area], { visible: 'hidden' }),
      // One stop of the file may be cut line and placement line in one, run in both hoopings.
      ...(cut?.stop !== undefined && { sharesRowOf: cut.stop, sharesIfNamed: true }),
      thread: p.thread
    });
    if (p.held === 'glue') site.hand('glue', { do: 'glue', pieceId: main.pieceId, lineId: area });
    else site.toTable();
    site.s.must(
      site.hand(
        'lay',
        {
          do: 'lay',
          pieceId: main.pieceId,
          side: 'above',
          face: p.lies,
          covers: area,
          hold: heldOn(main.material, p.held)
        },
        p.held === 'glue' ? { note: 'Hold the edge down with an awl while the first pass runs.' } : {}
      )
    );
    stitchDown(site, p, label, area);
  }
};

/** The line that work of an earlier hooping was cut out on, and the stop that stitched it. */
function cutOut({ s }: Site): { path: Path; stop: string | undefined } | undefined {
  const cut = s.sofar.entries.findLast((entry) => entry.kind === 'hand' && entry.op.do === 'cut-out');
  if (cut?.kind !== 'hand' || cut.op.do !== 'cut-out') return undefined;
  const { lineId } = cut.op;
  const stop = s.sofar.expected.findLast(({ lineIds }) => lineIds.includes(lineId));
  return { path: s.pathOf(lineId), stop: stop?.key };
}

function notMade(standing: Standing, from: number): Refusal | null {
  return madeIn(standing, from)
    ? null
    : {
        why: `Nothing of hooping ${from} lies ready to be carried on.`,
        repair: 'Finish that hooping first, and hoop again before this.'
      };
}

/** The cloth that carries the work of a hooping: the topmost that was put aside when the next was hooped. */
function madeIn({ hoop, hoopings }: Standing, from: number): Layer | undefined {
  const own = hoopings[from - 1] ?? [];
  return hoop.aside.findLast(
    ({ pieceId, material }) => own.includes(pieceId) && !isStabiliserKind(material.kind)
  );
}
