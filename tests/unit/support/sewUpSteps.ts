import type { Expected } from './layingSteps';

/** What is sewn up outside the hoop. */
export const SEW_UP_STEPS: Expected[] = [
  {
    op: { do: 'sew-up', how: 'join', parts: ['front', 'back'], by: 'machine', long: 500, seam: 10, open: 80 },
    title: 'Join front and back, right sides together',
    detail: /^500 mm by machine\. Seam allowance 10 mm\. Leave 80 mm open\.$/,
    mark: 'sew',
    seconds: 105
  },
  {
    op: { do: 'sew-up', how: 'close', parts: ['the cushion'], by: 'tape', long: 100, seam: 0, open: 0 },
    title: 'Close the opening of the cushion',
    detail: /^100 mm with fusible tape\.$/,
    mark: 'sew',
    seconds: 72,
    caution: /iron/
  },
  {
    op: { do: 'sew-up', how: 'stuff', parts: ['the cushion'], by: 'machine', long: 0, seam: 0, open: 0 },
    title: 'Stuff the cushion',
    detail: /^$/,
    mark: 'sew',
    seconds: 240
  }
];
