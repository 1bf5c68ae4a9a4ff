import { handStep, hardware } from './afterwards';
import { finishing } from './finishing';
import { applique } from './applique';
import { backTurned, backUnder } from './backs';
import { type AnyBlock, sealedBlock } from './block';
import { caught, pages, pocket } from './caught';
import { batting, front, topping } from './cloth';
import { edgeCut, edgeSatin, marks } from './edges';
import { hoopAgain } from './hoopAgain';
import { hooping } from './hooping';
import { cutworkOpening, eyelet, slot } from './openings';
import { ownStop } from './ownStop';
import { outlineRun } from './outlineRun';
import { panel, strips } from './panels';
import { piece } from './piece';
import { readyMade } from './readyMade';
import { sheetSteps } from './sheetSteps';
import { splitPosition } from './splitPosition';
import { carried } from './carried';
import { partsSet } from './partsSet';
import { reverseApplique } from './reverse';
import { rinseAll, sewUp } from './sewUp';
import { pieces } from './pieces';
import { laterEdges } from './laterEdges';
import { slotThrough } from './slotThrough';
import { cutLine } from './cutLine';
import { hungOn } from './hungOn';
import { blanks } from './blanks';
import { lacePart } from './lace';
import { laceSegments } from './laceSegments';
import { hemRepeats } from './hemRepeats';
import { severalDesigns } from './severalDesigns';
import { joined } from './joined';
import { fusePieces } from './fusePieces';
import { details, name, quilting } from './stitching';
import { raised, raisedCentre } from './raised';
import { trace } from './trace';
import { zip } from './zip';
import { backLined, zipLinings } from './zipLining';

/** Every block, in the order it is offered. */
export const BLOCKS: readonly AnyBlock[] = [
  sealedBlock(hooping),
  sealedBlock(readyMade),
  sealedBlock(splitPosition),
  sealedBlock(hoopAgain),
  sealedBlock(trace),
  sealedBlock(partsSet),
  sealedBlock(blanks),
  sealedBlock(laceSegments),
  sealedBlock(hemRepeats),
  sealedBlock(severalDesigns),
  sealedBlock(batting),
  sealedBlock(front),
  sealedBlock(panel),
  sealedBlock(strips),
  sealedBlock(piece),
  sealedBlock(carried),
  sealedBlock(applique),
  sealedBlock(pieces),
  sealedBlock(joined),
  sealedBlock(raised),
  sealedBlock(raisedCentre),
  sealedBlock(topping),
  sealedBlock(details),
  sealedBlock(quilting),
  sealedBlock(name),
  sealedBlock(marks),
  sealedBlock(ownStop),
  sealedBlock(outlineRun),
  sealedBlock(laterEdges),
  sealedBlock(zip),
  sealedBlock(zipLinings),
  sealedBlock(cutworkOpening),
  sealedBlock(reverseApplique),
  sealedBlock(lacePart),
  sealedBlock(slot),
  sealedBlock(slotThrough),
  sealedBlock(eyelet),
  sealedBlock(cutLine),
  sealedBlock(caught),
  sealedBlock(pocket),
  sealedBlock(pages),
  sealedBlock(hungOn),
  sealedBlock(backTurned),
  sealedBlock(backUnder),
  sealedBlock(backLined),
  sealedBlock(edgeSatin),
  sealedBlock(edgeCut),
  sealedBlock(finishing),
  sealedBlock(sewUp),
  sealedBlock(rinseAll),
  sealedBlock(hardware),
  sealedBlock(fusePieces),
  sealedBlock(handStep)
];

/** Blocks that nobody chooses from a list: they come with an item. */
const COME_WITH_AN_ITEM: readonly AnyBlock[] = [sealedBlock(sheetSteps)];

const BY_KIND = new Map([...BLOCKS, ...COME_WITH_AN_ITEM].map((block) => [block.kind, block]));

/** The block of a kind, or undefined. */
export function blockOf(kind: string): AnyBlock | undefined {
  return BY_KIND.get(kind);
}
