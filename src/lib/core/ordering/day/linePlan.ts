import type { Item } from '$lib/core/documents/item';
import type { Order } from '$lib/core/documents/order';
import type { Hoop, Setup, Shop } from '$lib/core/documents/shop';
import { type ComposedHooping, type Composition, LineContext } from '$lib/core/ordering/hoopings';
import type { Found, Problem } from '$lib/core/solvers/schedule';
import type { HoopOption } from './hoopChoice';
import type { Begun, Progress } from './progress';

/** What a plan of an order is made from. */
export interface BatchInput {
  order: Order;
  items: readonly { item: Item; setup?: Setup | undefined }[];
  shop: Shop;
  progress?: Progress;
  /** When lines may begin at the earliest, s from the midnight before; with the order where missing. */
  notBefore?: Readonly<Record<string, number>>;
  /** Lines of one group may share a hoop; all may where missing. */
  groupOf?: (lineId: string) => string;
  /** On a spool of thread, m. */
  spoolMetres?: number;
}

/** A line of the order as it is planned. */
export interface LinePlan {
  context: LineContext;
  hoop: Hoop;
  options: HoopOption[];
  /** Copies to stitch in all, pieces or cloths. */
  copies: number;
  /** Copies that are through or under way in each stage. */
  gone: number[];
  done: number;
}

/** What a way to share the copies out comes to, before it is told. */
export interface Candidate {
  composition: Composition;
  hoopings: ComposedHooping[];
  begun: Begun[];
  problem: Problem;
  found: Found;
}
