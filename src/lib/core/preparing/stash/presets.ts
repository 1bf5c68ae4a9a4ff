import { MM_PER_INCH } from '$lib/core/base/units';
import type { ClothEntry } from '$lib/core/documents/stash';

/** A cut of cloth the trade has a name for. */
export interface Preset {
  name: string;
  form: ClothEntry['form'];
  width: number;
  height: number;
}

const inches = (value: number): number => value * MM_PER_INCH;

/** Cuts as they are sold; a quarter yard is as wide as the cloth, here 44 in between the selvedges. */
export const PRESETS: readonly Preset[] = [
  { name: 'Fat quarter', form: 'sheets', width: inches(18), height: inches(22) },
  { name: 'Quarter yard', form: 'length', width: inches(44), height: inches(9) },
  { name: 'Half a metre', form: 'length', width: 1100, height: 500 },
  { name: 'Felt sheet', form: 'sheets', width: 230, height: 305 },
  { name: 'Roll, 10 in wide', form: 'roll', width: inches(10), height: 9144 },
  { name: 'Roll, 12 in wide', form: 'roll', width: inches(12), height: 9144 },
  { name: 'Roll, 20 in wide', form: 'roll', width: inches(20), height: 9144 }
];
