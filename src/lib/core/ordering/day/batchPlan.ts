import type { Placement } from '$lib/core/documents/order';
import type { HoopShare, Way } from '$lib/core/documents/run';
import type { HoopFinding } from '$lib/core/ordering/copies';
import type { Composition, WayCost } from '$lib/core/ordering/hoopings';
import type { Area, CopyOutline } from '$lib/core/solvers/nesting';
import type { ScheduleTask, Span } from '$lib/core/solvers/schedule';
import type { HoopOption } from './hoopChoice';

/** A hooping of the plan: what is in it, where and when. */
export interface PlannedHooping {
  id: string;
  lineId: string;
  itemId: string;
  name: string;
  /** Which clamping of the item, from 0, and how many it has. */
  stage: number;
  stages: number;
  copies: number;
  /** Copies on each head, where several stitch together. */
  heads: number[];
  /** Numbers of its copies over the whole line, from 1. */
  numbers: number[];
  names: string[];
  hoopId: string;
  stationId: string;
  machineId: string;
  way: Way;
  placements: Placement[];
  /** Middle to middle of neighbours, mm; null where they lie in no even rows. */
  pitch: { x: number; y: number } | null;
  /** Of one copy, and where it may lie. */
  outline: CopyOutline;
  area: Area;
  findings: HoopFinding[];
  /** Its place among the items that share its hoop; null where it has the hoop to itself. */
  shared: HoopShared | null;
  /** The run that stitches it, where it is under way. */
  runId: string | null;
  from: number;
  to: number;
}

/** What a plan says of one line of the order. */
export interface PlannedLine {
  lineId: string;
  name: string;
  quantity: number;
  /** Copies to be stitched in all, and those that are through. */
  copies: number;
  done: number;
  /** Pieces through their last clamping, less those that came out bad. */
  good: number;
  hoopId: string;
  capacity: number;
  /** How the copies that are left come out in hoopings, in words. */
  words: string;
  hoops: HoopOption[];
  ways: WayCost[];
  /** Hands and machine that so many pieces take, one hooping after another, s. */
  byQuantity: { quantity: number; hands: number; machine: number }[];
}

/** A plan for an order: hoopings, who does what when, and how near it is to what nothing can beat. */
export interface BatchPlan {
  lines: PlannedLine[];
  hoopings: PlannedHooping[];
  stations: { id: string; machineId: string; name: string; detail: string }[];
  /** Times in s from the midnight of the day the plan begins. */
  start: number;
  tasks: (Omit<ScheduleTask, 'job' | 'machine'> & { hoopingId: string | null; stationId: string | null })[];
  worked: number;
  /** When everything is off the machines and finished, before what is washed together. */
  stitched: number;
  finish: number;
  bound: { worked: number; finish: number };
  /** The same work, one hooping after another. */
  oneByOne: number;
  due: number | null;
  hands: number;
  needle: number;
  waiting: number;
  presence: Span[];
  /** When nothing needs hands while something runs. */
  away: Span[];
  setUps: number;
  bobbins: number;
  spools: number;
  composition: Composition;
  problems: string[];
}

/** An item among several that are stitched in one clamping, one after the other. */
export interface HoopShared {
  /** The same for all items of the hoop. */
  id: string;
  /** Which of the items it is, from 0. */
  at: number;
  parts: (HoopShare & { hoopingId: string; name: string })[];
  /** Of all items, by their part. */
  placements: Placement[];
  outlines: CopyOutline[];
}
