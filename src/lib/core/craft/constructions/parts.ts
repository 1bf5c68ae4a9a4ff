import type { Block } from '$lib/core/documents/item';

/**
 * Constructions once had parts of their own that were written by hand. Items that were put together from these are kept: what
 * each part is in blocks of the recipe, where it is not the block of its own name.
 */
const PARTS: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = {
  'snap-tab': {
    back: ['loop', 'back'],
    edge: ['edge', 'marks'],
    finishing: ['finishing', 'snap', 'eyelet', 'ring']
  },
  'border-patch': { second: ['base', 'second'] },
  'batch-patch': { blanks: ['patches'], patches: [], finishing: [] },
  'pile-patch': { lettering: ['topping', 'lettering'] },
  'zip-pouch': { upper: [], lower: [], quilting: ['outline', 'quilting'] },
  'turned-flat': { hooping: ['hooping', 'outline', 'batting', 'front'], finishing: ['finishing', 'fasten'] },
  'layered-mat': { top: ['batting', 'top'] },
  topper: { hooping: ['hooping', 'slot'], front: ['batting', 'front'], trim: [] },
  lace: { finishing: ['finishing', 'rinse'] },
  'mesh-lace': { finishing: ['partly', 'strip', 'tube', 'ends', 'topstitch', 'finishing'] },
  'fused-applique': { placement: ['pieces'] },
  'joined-applique': { left: ['pieces'], right: [], trim: [], edges: [] },
  'raised-piece': { texture: ['texture', 'ring'] },
  cutwork: { window: ['hooping', 'window'], edge: [] },
  'split-design': {
    hooping: ['hooping', 'cross', 'trace'],
    halves: [
      ...['upper', 'upper-details', 'upper-satin', 'lower-file'],
      ...['lower', 'lower-details', 'lower-satin']
    ],
    finishing: ['finishing', 'size', 'fold', 'sew', 'turn', 'fuse', 'stuff', 'close']
  }
};

/**
 * The blocks of an item, those of the recipe where it has parts.
 *
 * @example
 * withoutParts('layered-mat', [{ id: 'top', kind: 'part', answers: {} }], recipe).map(({ id }) => id) // ['batting', 'top']
 */
export function withoutParts(
  construction: string,
  blocks: readonly Block[],
  recipe: readonly Block[]
): Block[] {
  const taken = new Set(blocks.flatMap(({ kind, id }) => (kind === 'part' ? [] : id)));
  return blocks.flatMap((block) => {
    if (block.kind !== 'part') return block;
    const ids = PARTS[construction]?.[block.id] ?? [block.id];
    return recipe.filter(({ id }) => ids.includes(id) && !taken.has(id));
  });
}
