import type { Strip } from '$lib/core/documents/cutJob';
import type { Material, MaterialKind } from '$lib/core/documents/item';
import type { Offer } from '$lib/core/documents/shop';
import type { Cloth, Remainder } from '$lib/core/solvers/strips';
import type { Demand } from './demand';

/** One strip of a planned cloth; `kept` ones stay where they are. */
export interface PlannedStrip {
  strip: Strip;
  kept: boolean;
}

/** A cloth with what is cut from it. */
export interface PlannedCloth {
  cloth: Cloth;
  name: string;
  colour: string;
  kind: MaterialKind;
  entryId: string | null;
  offer: Offer | null;
  /** Strips run along the cloth instead of across. */
  along: boolean;
  strips: PlannedStrip[];
  remainders: Remainder[];
  /** Passes of the ruler. */
  cuts: number;
  /** Length cut off, in the direction the strips follow each other, mm. */
  used: number;
}

/** Pieces that found no place, why, and the nearest way out. */
export interface Unplaced {
  key: string;
  name: string;
  count: number;
  why: string;
  wayOut: string;
}

/** What to buy for a material. */
export interface Purchase {
  offer: Offer;
  material: Material;
  /** Steps, sheets or rolls. */
  count: number;
  /** Length of all of it; 0 for sheets. */
  mm: number;
  /** null where the price is unknown. */
  cost: number | null;
}

/** The plan for one material. */
export interface MaterialPlan {
  id: string;
  material: Material;
  demands: Demand[];
  cloths: PlannedCloth[];
  unplaced: Unplaced[];
  buy: Purchase | null;
  cuts: number;
  /** Remarks about the whole, as cloth that has not been washed. */
  remarks: string[];
}
