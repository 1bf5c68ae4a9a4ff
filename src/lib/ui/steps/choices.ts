/** What may hold a piece, in words. */
export const HOLDS: Record<string, string> = {
  tape: 'Tape',
  pins: 'Pins',
  spray: 'Spray',
  glue: 'Glue',
  fuse: 'Fusible',
  nothing: 'Nothing'
};
