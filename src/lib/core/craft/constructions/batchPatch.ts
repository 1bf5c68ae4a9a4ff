import { blankFields } from '$lib/core/craft/blocks';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

/** Blanks cut from one sheet of felt, then laid one after another on film and stitched as patches. */
export const batchPatch: Construction<typeof blankFields> = {
  kind: 'batch-patch',
  name: 'Batch patch on blanks',
  called: ['patches', 'badges'],
  summary:
    'Several blanks marked and cut from one hooping, then stitched and edged on film, which pops them out.',
  fields: blankFields,
  piecesPerFile: ({ copies }) => copies,
  draft: ({ shape, width, height }) => outlineOf({ shape, width, height }, 'satin border'),
  recipe: (p) => [block('patches', 'blanks', p)]
};
