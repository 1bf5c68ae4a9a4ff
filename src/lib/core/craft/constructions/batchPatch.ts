import { choice, count, length, material, outline, thread, threads } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  shape: outline('oval', 'rounded', 'rectangle', 'tab', 'shield', 'heart'),
  width: length('Outer edge of the border, width', 60, 20, 200),
  height: length('Outer edge of the border, height', 60, 20, 200),
  borderWidth: length('Width of the satin border', 4, 3, 8),
  designGap: length('Gap between design and border', 3, 0, 30),
  copies: count('Copies in the hoop', 2, 1, 6),
  gap: length('Gap between two copies', 20, 5, 60),
  placements: choice(
    'Placement lines',
    {
      'one-by-one': 'Each before its own patch: one halt a copy',
      'all-first': 'All from a line-only file, then the patches'
    },
    'one-by-one',
    'a line-only file halts once; the patch file then skips its first stop'
  ),
  ground: material('Blank', { felt: 'Felt', canvas: 'Canvas' }, ['felt', 'Felt', '#6d1f31']),
  border: thread('Border thread', 'Brass', '#b58a3c'),
  colours: threads('Colours, in order', ['Cream', '#efe3c4'])
};

/** Blanks cut from one sheet of felt, then laid one after another on film and stitched as patches. */
export const batchPatch: Construction<typeof FIELDS> = {
  kind: 'batch-patch',
  name: 'Batch patch on blanks',
  summary:
    'Several blanks marked and cut from one hooping, then stitched and edged on film, which pops them out.',
  fields: FIELDS,
  piecesPerFile: ({ copies }) => copies,
  draft: ({ shape, width, height }) => outlineOf({ shape, width, height }, 'satin border'),
  recipe: (p) => [block('patches', 'blanks', p)]
};
