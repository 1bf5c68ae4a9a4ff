import { box, extentsOfAll } from '$lib/core/base/geometry';
import { length, thread } from '$lib/core/craft/sequence';
import { sinksIn } from '$lib/core/documents/item';
import { edgedPieces } from './appliquePiece';
import type { BlockMaker } from './block';
import { filmOver } from './cloth';
import { beforeClosing } from './refusals';
import type { Site } from './site';
import { unedged } from './unedged';

/** Film reaches so far beyond the pieces, mm. */
const BEYOND_MM = 10;

const fields = {
  width: length('Width of the satin', 3.5, 2, 10),
  thread: thread('Edge thread', 'Burgundy', '#6d1f31')
} as const;

/** The edges of all pieces that wait for theirs, in one stop. */
export const laterEdges: BlockMaker<typeof fields> = {
  kind: 'later-edges',
  name: 'Edges of the pieces, all at once',
  summary: 'Satin round every appliqué piece whose edge was left for later.',
  group: 'Stitching',
  fields,
  refuses: (standing) =>
    beforeClosing(standing) ??
    (standing.unedged.length > 0
      ? null
      : {
          why: 'No piece waits for its edge.',
          repair: 'Let the edge of a piece be stitched later, and put this after it.'
        }),
  make(site, { width, thread: colour }) {
    const lines = unedged(site.s, site.frame).map(({ lineId }) => lineId);
    const film = onPile(site, lines);
    site.toMachine();
    edgedPieces(site, 'edge', site.label('Edges'), lines, { edge: 'satin', width, thread: colour });
    for (const line of lines) site.s.threadsLike(line, site.key('edge'));
    // What comes next could not be laid on it.
    if (film) {
      site.toTable();
      site.hand('topping-off', { do: 'topping-off', pieceId: film });
    }
  }
};

/** Film over a ground with pile, so that the satin does not sink in beside the pieces; undefined where none is needed. */
function onPile(site: Site, lines: string[]): string | undefined {
  const { ring, toppings } = site.standing;
  const pile = ring.some(({ material }) => sinksIn(material.kind));
  const around = extentsOfAll(lines.map((line) => site.s.pathOf(line)));
  if (!pile || toppings.length > 0 || !around) return undefined;
  const { minX, minY, maxX, maxY } = around;
  const covers = site.line(
    'film',
    'Topping',
    box(minX - BEYOND_MM, minY - BEYOND_MM, maxX + BEYOND_MM, maxY + BEYOND_MM)
  );
  site.toTable();
  return filmOver(site, covers);
}
