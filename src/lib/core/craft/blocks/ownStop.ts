import { z } from 'zod';
import {
  type AnswersOf,
  choice,
  count,
  length,
  onlyWhere,
  stopPart,
  text,
  thread
} from '$lib/core/craft/sequence';
import { type Path, segment } from '$lib/core/base/geometry';
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

const { shape, width, height, across, down } = spotFields(40, 40);
const fields = {
  title: text('Name', z.string().trim().min(1, 'give it a name').max(60).default('Another stop')),
  role: choice('What it does', ROLES, 'decoration'),
  form: choice(
    'It runs along',
    { shape: 'A shape', across: 'Lines from left to right', up: 'Lines towards you' },
    'shape'
  ),
  shape: onlyWhere(shape, 'form', 'shape'),
  width: onlyWhere(width, 'form', 'shape'),
  height: onlyWhere(height, 'form', 'shape'),
  long: onlyWhere(length('How long each line is', 60, 5, 600), 'form', 'across', 'up'),
  lines: onlyWhere(count('Lines', 1, 1, 30), 'form', 'across', 'up'),
  apart: onlyWhere(length('From line to line', 20, 1, 300), 'form', 'across', 'up'),
  across,
  down,
  stitches: count('Stitches', 0, 0, 200_000, '0: counted from its line'),
  wide: length('Width, where it is satin or zigzag', 0, 0, 12),
  thread: thread('Thread', 'Ink black', '#20242c')
} as const;

/** A stop by itself, along a line of its own. */
export const ownStop: BlockMaker<typeof fields> = {
  kind: 'own-stop',
  name: 'A stop of your own',
  summary: 'A stop along a shape or along lines of your own, as the seams that divide a pocket.',
  group: 'Stitching',
  fields,
  refuses: needsRing,
  make(site, { title, role, stitches, wide, thread: colour, ...along }) {
    const paths = along.form === 'shape' ? [spotPath(along)] : straightLines(along);
    const lines = paths.map((path, at) => site.line(at === 0 ? 'line' : `line-${at + 1}`, title, path));
    site.toMachine();
    site.stop('stop', {
      ...stopPart(title, role, new RegExp(title.toLowerCase().replace(/[^a-z0-9 ]+/g, '.')), lines),
      ...(wide > 0 && { width: wide }),
      ...(stitches > 0 && {
        estimate: [{ stitches, attended: false, ...(wide > 0 && { width: wide, length: wide }) }]
      }),
      thread: colour
    });
  }
};

type Lines = Pick<AnswersOf<typeof fields>, 'form' | 'long' | 'lines' | 'apart' | 'across' | 'down'>;

/** Lines beside each other, the middle of all where it was asked. */
function straightLines({ form, long, lines, apart, across, down }: Lines): Path[] {
  return Array.from({ length: lines }, (_, at) => {
    const off = (at - (lines - 1) / 2) * apart;
    return form === 'across'
      ? segment(across - long / 2, down + off, across + long / 2, down + off)
      : segment(across + off, down - long / 2, across + off, down + long / 2);
  });
}
