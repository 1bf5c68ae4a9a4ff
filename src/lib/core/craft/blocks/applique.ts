import { material, stopPart, thread } from '$lib/core/craft/sequence';
import {
  edgedPieces,
  laidOn,
  madePiece,
  type OnePiece,
  pieceFields,
  refusesPiece,
  tackedAndTrimmed,
  webBehind
} from './appliquePiece';
import type { BlockMaker } from './block';
import { CLOTHS } from './hooping';
import { spotFields, spotPath } from './spots';

const fields = {
  ...spotFields(50, 50),
  cloth: material('Cloth', CLOTHS, ['woven', 'Carriage red', '#8d2f35']),
  ...pieceFields,
  thread: thread('Edge thread', 'Burgundy', '#6d1f31')
} as const;

/** One shape of cloth on the surface, under an edge of its own. */
export const applique: BlockMaker<typeof fields> = {
  kind: 'applique',
  name: 'Appliqué piece',
  summary:
    'A shape of cloth: trimmed in place, or cut beforehand and laid or fused, with the edge you choose.',
  group: 'Cloth',
  fields,
  lays: true,
  refuses: (standing, p) => refusesPiece(standing, p, p.cloth),
  make(site, p) {
    const { method, edge } = p;
    const label = site.label('Appliqué');
    const shape = site.line('shape', label, spotPath(p));
    const ends = edge === 'raw' || edge === 'later';
    const leader = site.key(ends ? 'tack' : 'edge');
    const own: OnePiece = { ...p, part: '', label, shape, leader };
    const piece = madePiece(site, own);
    webBehind(site, [piece], p);
    site.toMachine();
    site.stop(
      'placement',
      stopPart(`${label}: placement`, 'placement', /place|position/, [shape], {
        threadOf: leader,
        visible: 'hidden'
      })
    );
    // A hoop is never ironed on the machine.
    if (method === 'pre-cut') site.toTable();
    laidOn(site, piece, own);
    if (method === 'pre-cut') site.toMachine();
    tackedAndTrimmed(site, piece, own);
    if (edge !== 'raw' && edge !== 'later')
      edgedPieces(site, 'edge', `${label}: edge`, [shape], { edge, thread: p.thread });
  }
};
