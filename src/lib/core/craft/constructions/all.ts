import { batchPatch } from './batchPatch';
import { bookmark } from './bookmark';
import { borderPatch } from './borderPatch';
import { coaster } from './coaster';
import type { AnyConstruction } from './construction';
import { sealed } from './construction';
import { cutwork } from './cutwork';
import { cutworkCorner } from './cutworkCorner';
import { elasticPocket } from './elasticPocket';
import { envelopeCover } from './envelopeCover';
import { fusedApplique } from './fusedApplique';
import { joinedApplique } from './joinedApplique';
import { lace } from './lace';
import { layeredMat } from './layeredMat';
import { meshLace } from './meshLace';
import { namedItem } from './namedItem';
import { needleBook } from './needleBook';
import { own } from './own';
import { patch } from './patch';
import { pilePatch } from './pilePatch';
import { plainEmbroidery } from './plainEmbroidery';
import { potHolder } from './potHolder';
import { raisedPiece } from './raisedPiece';
import { severalDesigns } from './severalDesigns';
import { snapStrap } from './snapStrap';
import { snapTab } from './snapTab';
import { splitDesign } from './splitDesign';
import { topper } from './topper';
import { turnedFlat } from './turnedFlat';
import { zipPouch } from './zipPouch';

/** Every construction the application knows, in the order it offers them. */
export const CONSTRUCTIONS: readonly AnyConstruction[] = [
  sealed(snapTab),
  sealed(patch),
  sealed(borderPatch),
  sealed(batchPatch),
  sealed(pilePatch),
  sealed(zipPouch),
  sealed(turnedFlat),
  sealed(layeredMat),
  sealed(topper),
  sealed(lace),
  sealed(meshLace),
  sealed(fusedApplique),
  sealed(joinedApplique),
  sealed(raisedPiece),
  sealed(cutwork),
  sealed(cutworkCorner),
  sealed(severalDesigns),
  sealed(splitDesign),
  sealed(namedItem),
  sealed(plainEmbroidery),
  sealed(coaster),
  sealed(potHolder),
  sealed(envelopeCover),
  sealed(needleBook),
  sealed(snapStrap),
  sealed(bookmark),
  sealed(elasticPocket),
  sealed(own)
];

/** The construction of a kind, or undefined. */
export function constructionOf(kind: string): AnyConstruction | undefined {
  return CONSTRUCTIONS.find((construction) => construction.kind === kind);
}
