/** A stop as the bobbin sees it. */
export interface BobbinStop {
  id: string;
  /** Thread it takes from the bobbin, m. */
  metres: number;
  /** Thread the bobbin must be wound with; null where any will do. */
  colour: string | null;
  /** The bobbin must not run out inside it. */
  protected: boolean;
}

export interface BobbinOptions {
  /** Thread on a full bobbin, m. */
  capacity: number;
  /** Thread that bobbins are usually wound with. */
  usual: string;
  /** The bobbin in the machine before the start. */
  start?: { colour: string; metres: number } | null;
}

/** A bobbin that is put on. */
export interface BobbinChange {
  /** Index of the stop before which, or inside which, it is put on. */
  at: number;
  colour: string;
  /** Thread on it, m: a full one’s, or what was left when it was taken off before. */
  metres: number;
  full: boolean;
  /** Metres of the stop stitched when it goes on; 0 before the stop. */
  into: number;
  /** What was on the one that comes off: 0 when it ran out; null when there was none. */
  leaves: number | null;
}

export interface BobbinPlan {
  changes: BobbinChange[];
  /** Thread left on bobbins that never go on again, m; the last one stays on the machine. */
  leftBehind: number;
  /** Full bobbins to wind before starting, by thread. */
  wind: { colour: string; count: number }[];
  /** Whether no plan can be better. */
  proven: boolean;
}
