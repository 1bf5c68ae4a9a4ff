import { length, thread } from '$lib/core/craft/sequence';
import { edgedPieces } from './appliquePiece';
import type { BlockMaker } from './block';
import { beforeClosing } from './refusals';
import { unedged } from './unedged';

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
    site.toMachine();
    edgedPieces(site, 'edge', site.label('Edges'), lines, { edge: 'satin', width, thread: colour });
    for (const line of lines) site.s.threadsLike(line, site.key('edge'));
  }
};
