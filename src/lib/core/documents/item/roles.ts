import { z } from 'zod';

/** What a stop does, named by its effect on the item and not by the word in the file. */
export const ROLES = [
  'placement',
  'tack-down',
  'cut-line',
  'join-seam',
  'quilting',
  'decoration',
  'lettering',
  'applique-edge',
  'satin-edge',
  'topstitch',
  'closing-seam',
  'closure-mark',
  'centre-mark',
  'basting',
  'lace-underlay',
  'lace',
  'bars',
  'needle-cut'
] as const;

export const Role = z.enum(ROLES);
export type Role = z.infer<typeof Role>;

/** The role in the maker's words. */
export const ROLE_WORDS: Record<Role, string> = {
  placement: 'Placement line',
  'tack-down': 'Tack-down',
  'cut-line': 'Cut line',
  'join-seam': 'Join seam',
  quilting: 'Quilting',
  decoration: 'Decoration',
  lettering: 'Lettering',
  'applique-edge': 'Appliqué edge',
  'satin-edge': 'Satin edge',
  topstitch: 'Topstitch',
  'closing-seam': 'Closing seam',
  'closure-mark': 'Closure mark',
  'centre-mark': 'Centre mark',
  basting: 'Basting',
  'lace-underlay': 'Lace underlay',
  lace: 'Lace',
  bars: 'Bars',
  'needle-cut': 'Needle cut'
};

/** Whether a role lays plain running stitch, dense fill or a satin column: its averages differ. */
export type StitchKind = 'running' | 'fill' | 'satin';

const KIND: Record<Role, StitchKind> = {
  placement: 'running',
  'tack-down': 'running',
  'cut-line': 'running',
  'join-seam': 'running',
  quilting: 'running',
  decoration: 'fill',
  lettering: 'fill',
  'applique-edge': 'satin',
  'satin-edge': 'satin',
  topstitch: 'running',
  'closing-seam': 'running',
  'closure-mark': 'running',
  'centre-mark': 'running',
  basting: 'running',
  'lace-underlay': 'running',
  lace: 'fill',
  bars: 'satin',
  'needle-cut': 'running'
};

/** The kind of stitch a role lays. */
export function stitchKind(role: Role): StitchKind {
  return KIND[role];
}

/** Roles that draw one line, so that another colour on the same line shows through. */
const LINE_ROLES: readonly Role[] = [
  'placement',
  'tack-down',
  'cut-line',
  'topstitch',
  'closing-seam',
  'join-seam',
  'basting'
];

/**
 * Whether a stop of a role stitches along its lines, rather than inside them or over them.
 *
 * @example
 * drawsLine('tack-down') // true
 */
export function drawsLine(role: Role): boolean {
  return LINE_ROLES.includes(role);
}
