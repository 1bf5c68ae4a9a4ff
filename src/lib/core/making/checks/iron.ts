import { found } from '$lib/core/craft/findings';
import { findPiece } from '$lib/core/documents/item';
import { type Check, type Finding, handed } from './finding';

/** An iron on the face of vinyl. */
export const iron: Check = (context) =>
  handed(context, 'press', 'fuse', 'heat-adhesive', 'lay').flatMap(({ op, step, after }): Finding[] => {
    if (op.do === 'lay' && op.hold.by !== 'fuse') return [];
    const { layers } = after.state;
    const touched =
      op.do === 'press' && op.from === 'back'
        ? layers[0]
        : op.do === 'heat-adhesive'
          ? layers.find(({ material }) => material.kind === 'vinyl')
          : layers.at(-1);
    const named = 'pieceId' in op ? findPiece(context.item, op.pieceId) : undefined;
    const vinyl =
      touched?.material.kind === 'vinyl'
        ? touched.name
        : named?.material.kind === 'vinyl'
          ? named.name
          : undefined;
    if (vinyl === undefined) return [];
    return [found('iron/vinyl', step.id, { vinyl })];
  });
