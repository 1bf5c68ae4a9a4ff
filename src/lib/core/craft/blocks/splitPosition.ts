import { z } from 'zod';
import { count, text } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { beforeClosing } from './refusals';

const fields = {
  file: text(
    'The file stitched there',
    z.string().trim().min(1, 'name the file').max(60).default('Second half')
  ),
  before: text(
    'The file stitched before',
    z.string().trim().min(1, 'name the file').max(60).default('First half')
  ),
  position: count('Mounting position', 2, 1, 4)
} as const;

/** The hoop moved to another mounting position, where another file goes on. */
export const splitPosition: BlockMaker<typeof fields> = {
  kind: 'split-position',
  name: 'Another mounting position',
  summary:
    'The same hooping moved to another position of a long hoop; the stops that follow are in a file of their own.',
  group: 'Hooping',
  fields,
  refuses: beforeClosing,
  make(site, { file, before, position }) {
    if (site.s.sofar.files.length === 0) site.s.firstFile('first', before);
    site.toMachine();
    site.hand('mount', { do: 'mount', position });
    site.s.file(site.id, file);
  }
};
