import { z } from 'zod';

/** The small mark a hand step carries on the ribbon and the sheet; several operations share one. */
const MARKS = [
  'start',
  'hoop',
  'move',
  'turn',
  'lay',
  'hold',
  'heat',
  'fold',
  'cut',
  'thread',
  'bobbin',
  'machine',
  'look',
  'tear',
  'water',
  'wait',
  'fasten',
  'sew',
  'note'
] as const;

export const Mark = z.enum(MARKS);

export type Mark = z.infer<typeof Mark>;
