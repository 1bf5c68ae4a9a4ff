import { inset } from '$lib/core/base/geometry';
import { length, stopPart, thread } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { beforeClosing, needsSurface } from './refusals';

const fields = {
  inside: length('Inside the outline', 2, 0, 20),
  thread: thread('Thread', 'Brass', '#b58a3c')
} as const;

/** A line that is cut along once the work is out of the ring: what is cut out is laid again or cut by a die. */
export const cutLine: BlockMaker<typeof fields> = {
  kind: 'cut-line',
  name: 'Cut line, and cut out on it',
  summary: 'A run shows where it is cut; out of the hoop and cut out exactly on it, to be laid again.',
  group: 'Openings',
  fields,
  refuses: (standing) => needsSurface(standing) ?? beforeClosing(standing),
  make(site, { inside, thread: colour }) {
    const { frame, s } = site;
    const line = site.line('cut', 'Cut line', inset(frame.outline, inside));
    site.toMachine();
    const stitched = site.stop('cut-line', {
      ...stopPart('Cut line', 'cut-line', /cut|die/, [line], { visible: 'hidden' }),
      thread: colour
    });
    site.toTable();
    site.snipJumps('both');
    const out = site.hand('unhoop', { do: 'unhoop' });
    site.freeHolds();
    s.must(site.hand('cut', { do: 'cut-out', lineId: line, margin: 0 }, { needs: [stitched, out] }));
  }
};
