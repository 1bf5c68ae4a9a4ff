import { offsetPath } from '$lib/core/base/geometry';
import { choice, length, onlyWhere, stopPart, thread } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { beforeClosing, needsSurface } from './refusals';

const fields = {
  then: choice(
    'Afterwards',
    { nothing: 'Nothing', trimmed: 'What reaches past it is trimmed: stitching has drawn it in' },
    'nothing'
  ),
  outside: onlyWhere(length('Outside the outline', 0, 0, 10, 'in the seam allowance'), 'then', 'nothing'),
  thread: thread('Thread', 'Cream', '#efe3c4')
} as const;

/** A run round the item that holds its layers together. */
export const outlineRun: BlockMaker<typeof fields> = {
  kind: 'outline-run',
  name: 'A run round the outline',
  summary: 'Holds all layers together before what comes next; what reaches past it can be trimmed then.',
  group: 'Stitching',
  fields,
  refuses: (standing, { then }) =>
    needsSurface(standing) ??
    beforeClosing(standing) ??
    (then === 'trimmed' && standing.edge !== 'satin'
      ? {
          why: 'Trimmed to its line, no seam would hold it: only a satin edge covers that.',
          repair: 'Leave it untrimmed, or give the item a satin edge.'
        }
      : null),
  make(site, { then, outside, thread: colour }) {
    const { frame, s } = site;
    const line =
      outside > 0
        ? site.line('outline', 'Outline tack', offsetPath(frame.seam, outside) ?? frame.seam)
        : frame.seamId;
    const { top } = site.standing;
    // Its corners would lift where it was only flipped.
    if (top?.use === 'flipped') site.hand('corners', { do: 'tape', pieceId: top.id, strips: 2 });
    site.toMachine();
    s.must(
      site.stop('outline', {
        ...stopPart(
          site.label('Outline'),
          'tack-down',
          /outline|place|position|tack|again|bast/,
          [line, ...frame.holes],
          { visible: 'hidden' }
        ),
        alsoRoles: ['basting', 'placement'],
        thread: colour
      })
    );
    site.freePins();
    if (then === 'trimmed') site.trimToSeam();
  }
};
