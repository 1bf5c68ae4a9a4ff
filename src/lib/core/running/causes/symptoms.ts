/** What one sees on an item that came out wrong. */
export const SYMPTOMS = {
  puckers: 'Puckers round the stitching',
  gap: 'A gap between the edge and the cloth',
  'loops-on-top': 'Loops of thread on top',
  'bobbin-on-top': 'The bobbin shows on top',
  nest: 'A nest of thread below',
  sunk: 'Letters sunk in the pile',
  'raw-edge': 'A raw edge shows',
  'film-trapped': 'Film is trapped and stays',
  shifted: 'The cloth has shifted',
  crooked: 'The name is crooked',
  holes: 'Needle holes',
  shiny: 'A shiny or melted spot',
  skipped: 'Skipped stitches',
  shredding: 'The thread shreds or breaks',
  size: 'A patch came out small or large',
  'wrong-side': 'The wrong side is out',
  'lining-caught': 'The lining is caught in a seam',
  lumpy: 'Corners are lumpy'
} as const;
export type Symptom = keyof typeof SYMPTOMS;
