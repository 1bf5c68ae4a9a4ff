/** The most an item can hold: more than any machine stitches, and no more than can be planned. */
export const LIMITS = {
  /** Stitches of one stop, and of all stops. */
  stitchesOfStop: 500_000,
  stitches: 2_000_000,
  /** Passes of a stop. */
  phases: 40,
  /** Of one file, and of all. */
  stops: 1000,
  steps: 3000,
  lines: 1000,
  pieces: 300,
  threads: 300,
  files: 60,
  hoopings: 100,
  blocks: 300,
  variants: 40,
  art: 40,
  /** Distance from the middle of the field, mm. */
  coordinate: 2500
} as const;
