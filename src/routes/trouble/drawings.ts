import type { Symptom } from '$lib/core/running/causes';

/** What each symptom looks like: lines of thread or cloth, and what is wrong, as path data in a square of 48. */
export const DRAWINGS: Readonly<Record<Symptom, { cloth: string; wrong: string }>> = {
  puckers: {
    cloth: 'M4 8h40v32H4z',
    wrong: 'M18 18h12v12H18z M16 16l-8-6 M32 16l8-6 M16 32l-8 6 M32 32l8 6 M24 15v-6 M24 33v6'
  },
  gap: { cloth: 'M10 12h22v24H10z', wrong: 'M37 8v32 M42 8v32 M37 12h5 M37 18h5 M37 24h5 M37 30h5 M37 36h5' },
  'loops-on-top': {
    cloth: 'M4 34h40',
    wrong: 'M8 34c0-14 8-14 8 0 M20 34c0-18 9-18 9 0 M33 34c0-12 8-12 8 0'
  },
  'bobbin-on-top': { cloth: 'M4 16h40v16H4z', wrong: 'M8 24h3 M15 24h3 M22 24h3 M29 24h3 M36 24h3' },
  nest: {
    cloth: 'M4 14h40',
    wrong: 'M12 16c-6 14 12 18 10 6c-2-10 18-4 12 8c-5 9-20 8-16-2c4-9 20-12 14 2'
  },
  sunk: {
    cloth: 'M4 34c3-8 5 0 8-6s5 2 8-4 5 4 8-4 5 4 8-2 5 2 8-2',
    wrong: 'M14 40V26l6 8 6-8v14 M32 26v14h6'
  },
  'raw-edge': { cloth: 'M6 10h26v28H6z', wrong: 'M32 14l6-2 M32 20l7 1 M32 26l5 3 M32 32l7 0 M32 36l5 3' },
  'film-trapped': { cloth: 'M8 10h32v28H8z', wrong: 'M14 20l6-5 6 6 8-7 M16 34l5-6 6 5 6-6' },
  shifted: { cloth: 'M6 12h24v24H6z', wrong: 'M14 8l26 6-6 26-26-6z' },
  crooked: { cloth: 'M6 36h36', wrong: 'M10 32l4-14 6 12 4-14 M28 24l2-8 5 2-1 5-5 0 5 5' },
  holes: {
    cloth: 'M4 8h40v32H4z',
    wrong: 'M10 24h.1 M18 24h.1 M26 24h.1 M34 24h.1 M14 18h.1 M22 30h.1 M30 18h.1'
  },
  shiny: {
    cloth: 'M4 8h40v32H4z',
    wrong: 'M16 24a8 8 0 1 0 16 0a8 8 0 1 0-16 0 M24 10v4 M24 34v4 M10 24h4 M34 24h4'
  },
  skipped: { cloth: 'M4 34h40', wrong: 'M6 24h6 M15 24h6 M33 24h6 M24 18l6 12 M30 18l-6 12' },
  shredding: { cloth: 'M6 40h36', wrong: 'M24 4v14 M24 18l-4 5 M24 18l4 6 M24 18l-1 8 M24 30v10' },
  size: { cloth: 'M8 8h32v32H8z', wrong: 'M15 15h18v18H15z M10 24h4 M34 24h4 M24 10v4 M24 34v4' },
  'wrong-side': { cloth: 'M8 8h32v32H8z', wrong: 'M16 30c0-14 14-16 16-4 M32 26l4-6 M32 26l-7-2' },
  'lining-caught': { cloth: 'M6 10h36v28H6z', wrong: 'M6 30h36 M16 38c2-12 10-12 12 0' },
  lumpy: { cloth: 'M8 8h32', wrong: 'M40 8c6 6-2 8 2 14c4 6-6 8-4 14 M8 8v32' }
};
