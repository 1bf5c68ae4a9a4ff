import { z } from 'zod';
import { choice, count, length, stopPart, text, thread } from '$lib/core/craft/sequence';
import { ROLE_WORDS, type Role } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { needsRing } from './refusals';
import { spotFields, spotPath } from './spots';

const ROLES = Object.fromEntries(
  (
    [
      'placement',
      'tack-down',
      'cut-line',
      'join-seam',
      'quilting',
      'decoration',
      'lettering',
      'applique-edge',
      'topstitch'
    ] as const
  ).map((role) => [role, ROLE_WORDS[role]])
) as Record<OwnRole, string>;
type OwnRole = Extract<
  Role,
  | 'placement'
  | 'tack-down'
  | 'cut-line'
  | 'join-seam'
  | 'quilting'
  | 'decoration'
  | 'lettering'
  | 'applique-edge'
  | 'topstitch'
>;

const fields = {
  title: text('Name', z.string().trim().min(1, 'give it a name').max(60).default('Another stop')),
  role: choice('What it does', ROLES, 'decoration'),
  ...spotFields(40, 40),
  stitches: count('Stitches', 0, 0, 200_000, '0: counted from its line'),
  wide: length('Width, where it is satin or zigzag', 0, 0, 12),
  thread: thread('Thread', 'Ink black', '#20242c')
} as const;

/** A stop by itself, along a line of its own. */
export const ownStop: BlockMaker<typeof fields> = {
  kind: 'own-stop',
  name: 'A stop of your own',
  summary: 'A stop along a shape of your own, where no other block fits.',
  group: 'Stitching',
  fields,
  refuses: needsRing,
  make(site, { title, role, stitches, wide, thread: colour, ...spot }) {
    const line = site.line('line', title, spotPath(spot));
    site.toMachine();
    site.stop('stop', {
      ...stopPart(title, role, new RegExp(title.toLowerCase().replace(/[^a-z0-9 ]+/g, '.')), [line]),
      ...(wide > 0 && { width: wide }),
      ...(stitches > 0 && {
        estimate: [{ stitches, attended: false, ...(wide > 0 && { width: wide, length: wide }) }]
      }),
      thread: colour
    });
  }
};
