/** A stretch of time on the machine: hands that it waits for, needle alone, or needle with hands beside it. */
export interface Segment {
  kind: 'hands' | 'needle' | 'attended';
  /** s */
  seconds: number;
  title: string;
  /** Which of the items that share the hoop it is for, from 0. */
  part?: number;
}

/** A stretch of time at the table. */
export interface TableWork {
  kind: 'hands' | 'wait';
  /** s */
  seconds: number;
  title: string;
  /** Copies it is made of, so that it can be taken up one by one. */
  times: number;
  /** What is done, so that several hoopings can share it. */
  what: string;
  /** Done once, however many pieces there are. */
  once: boolean;
  /** Which of the items that shared the hoop it is for, from 0. */
  part?: number;
}

/** A hooping as the schedule sees it, on one machine. */
export interface WorkTimes {
  /** Loading the hoop at the table, s. */
  load: number;
  /** Threading before the first stitch, left out where the thread is on already, s. */
  threading: number;
  firstThread: string | null;
  lastThread: string | null;
  segments: Segment[];
  /** Until the hoop is free again, s. */
  off: number;
  finish: TableWork[];
  /** What parts of several hoopings share, as a soak; empty where nothing is shared. */
  wash: TableWork[];
  /** Upper thread by its name, m. */
  threads: { name: string; metres: number }[];
  bobbinMetres: number;
}

const sumOf = (
  parts: readonly { kind: string; seconds: number }[],
  counts: (kind: string) => boolean
): number => parts.reduce((sum, { kind, seconds }) => sum + (counts(kind) ? seconds : 0), 0);

/** Time a hooping takes the machine, hands that it waits for included, s. */
export function machineSeconds({ segments }: Pick<WorkTimes, 'segments'>): number {
  return sumOf(segments, () => true);
}

/** Hands among some pieces of work at the table, s; waiting is left out. */
export function tableSeconds(work: readonly TableWork[]): number {
  return sumOf(work, (kind) => kind === 'hands');
}

/**
 * Hands a hooping takes, at the machine and at the table, s; set-up, first threading and what is washed together left out.
 *
 * @example
 * handSeconds({ load: 120, segments: [hands(20), needle(1500), hands(15)], off: 75, finish: [] }) // 230
 */
export function handSeconds({
  load,
  segments,
  off,
  finish
}: Pick<WorkTimes, 'load' | 'segments' | 'off' | 'finish'>): number {
  return load + sumOf(segments, (kind) => kind !== 'needle') + off + tableSeconds(finish);
}
