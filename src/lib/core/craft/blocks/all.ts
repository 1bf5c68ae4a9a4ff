import { finishing, handStep, hardware } from './afterwards';
import { applique } from './applique';
import { backTurned, backUnder } from './backs';
import { type AnyBlock, sealedBlock } from './block';
import { caught, pages, pocket } from './caught';
import { batting, front, topping } from './cloth';
import { edgeCut, edgeSatin, marks } from './edges';
import { hoopAgain } from './hoopAgain';
import { hooping } from './hooping';
import { cutworkOpening, lacePart, slot } from './openings';
import { ownStop } from './ownStop';
import { panel, strips } from './panels';
import { piece } from './piece';
import { readyMade } from './readyMade';
import { sheetSteps } from './sheetSteps';
import { splitPosition } from './splitPosition';
import { carried } from './carried';
import { partsSet } from './partsSet';
import { reverseApplique } from './reverse';
import { rinseAll, sewUp } from './sewUp';
import { details, name, quilting } from './stitching';
import { zip } from './zip';

/** Every block, in the order it is offered. */
export const BLOCKS: readonly AnyBlock[] = [
  sealedBlock(hooping),
  sealedBlock(readyMade),
  sealedBlock(splitPosition),
  sealedBlock(hoopAgain),
  sealedBlock(partsSet),
  sealedBlock(batting),
  sealedBlock(front),
  sealedBlock(panel),
  sealedBlock(strips),
  sealedBlock(piece),
  sealedBlock(carried),
  sealedBlock(applique),
  sealedBlock(topping),
  sealedBlock(details),
  sealedBlock(quilting),
  sealedBlock(name),
  sealedBlock(marks),
  sealedBlock(ownStop),
  sealedBlock(zip),
  sealedBlock(cutworkOpening),
  sealedBlock(reverseApplique),
  sealedBlock(lacePart),
  sealedBlock(slot),
  sealedBlock(caught),
  sealedBlock(pocket),
  sealedBlock(pages),
  sealedBlock(backTurned),
  sealedBlock(backUnder),
  sealedBlock(edgeSatin),
  sealedBlock(edgeCut),
  sealedBlock(finishing),
  sealedBlock(sewUp),
  sealedBlock(rinseAll),
  sealedBlock(hardware),
  sealedBlock(handStep)
];

/** Blocks that nobody chooses from a list: they come with an item. */
const COME_WITH_AN_ITEM: readonly AnyBlock[] = [sealedBlock(sheetSteps)];

const BY_KIND = new Map([...BLOCKS, ...COME_WITH_AN_ITEM].map((block) => [block.kind, block]));

/** The block of a kind, or undefined. */
export function blockOf(kind: string): AnyBlock | undefined {
  return BY_KIND.get(kind);
}
