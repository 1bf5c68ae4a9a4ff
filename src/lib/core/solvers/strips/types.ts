import { Strip } from '$lib/core/documents/cutJob';

/** So many pieces of one size. */
export interface Wanted {
  key: string;
  width: number;
  height: number;
  count: number;
  /** May lie turned by 90 degrees, where the cloth allows it too. */
  turn: boolean;
  /** The only cloth they may come from: its id, or its group’s. */
  only?: string | undefined;
}

/** Something to cut from. */
export interface Cloth {
  id: string;
  /** What it shares with others that are as good, as sheets of one kind. */
  group?: string;
  width: number;
  /** Length left; null for one that is cut off as long as needed. */
  height: number | null;
  /** Pieces may lie turned by 90 degrees. */
  turn: boolean;
  /** Which way the first cuts run. */
  first: 'across' | 'along' | 'either';
  /** Must be bought before it can be cut. */
  bought: boolean;
  /** What a millimetre cut off it costs; nothing for an offcut. */
  perMm: number;
  /** What it costs to begin it, as a whole sheet. */
  whole: number;
}

/** A cloth with its strips; `along` when the strips run along the cloth instead of across. */
export interface ClothLayout {
  clothId: string;
  along: boolean;
  strips: Strip[];
}

/** A layout of everything wanted, and what found no place. */
export interface StripLayout {
  cloths: ClothLayout[];
  unplaced: Map<string, number>;
  score: Score;
}

/** What a layout is judged by, the first that differs deciding; less is better. */
export interface Score {
  unplaced: number;
  /** Price or length of what must be bought. */
  bought: number;
  /** Price or length of what is cut off whole material. */
  used: number;
  /** Passes of the ruler. */
  cuts: number;
  /** Minus the area of the largest piece that is left over. */
  remainder: number;
}
