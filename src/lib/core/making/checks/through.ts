import { found } from '$lib/core/craft/findings';
import { findPiece, type Role } from '$lib/core/documents/item';
import { type Check, type Finding, runsOf } from './finding';

const SEEN: readonly Role[] = ['decoration', 'lettering', 'quilting', 'applique-edge'];

/** Surface stitching that would go through a back or a lining, where nobody said it may. */
export const through: Check = (context) =>
  runsOf(context).flatMap(({ role, stepId, called, after, through: meant }): Finding[] => {
    const under = after.state.seams.at(-1)?.under;
    const piece = under && findPiece(context.item, under.pieceId);
    if (!SEEN.includes(role) || meant || !piece || (piece.shows !== 'back' && piece.shows !== 'lining'))
      return [];
    return [found('through/back', stepId, { called, piece: piece.name }, piece.id)];
  });
