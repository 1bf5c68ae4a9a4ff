/** What the fields of the shop are called on this page. */
export const FIELDS: Record<string, string> = {
  name: 'The name',
  needles: 'The number of needles',
  setSpm: 'The speed you set',
  maxSpm: 'The highest speed',
  paceSpm: 'What it really averages',
  capSpm: 'The speed limit',
  width: 'The width',
  height: 'The height',
  hands: 'The hand time',
  cutAccuracy: 'How far your cuts stray',
  fileEnding: 'The ending of its files',
  positions: 'The number of mounting positions'
};
