import type { OperationKind, OperationOf } from '$lib/core/documents/item';
import type { HoopState, Mark } from '$lib/core/documents/plan';
import type { HandTimeKey } from '$lib/core/documents/shop';
import type { StackEffect } from './effects';
import type { Field } from './fields';
import type { Readying } from './ready';
import type { Timing, TimeSpent } from './time';
import type { Wording, WordingContext } from './words';

/** All that the application knows of one kind of operation. A new one does not compile until it is whole. */
export interface Traits<K extends OperationKind> {
  /** What it is called where one is chosen from a list. */
  label: string;
  /** The small mark it carries on ribbon and sheet. */
  mark: Mark;
  wording: (op: OperationOf<K>, context: WordingContext) => Wording;
  /** Where the work can hurt. Local rules come first. */
  caution: string | null | ((op: OperationOf<K>) => string | null);
  /** The hand time it takes, or several. */
  time: HandTimeKey | ((op: OperationOf<K>, timing: Timing) => readonly TimeSpent[]);
  /** The wait it is, if it is one. */
  waits: null | ((op: OperationOf<K>) => HandTimeKey);
  /** Where the hoop is afterwards. */
  hoop: 'stays' | ((hoop: HoopState) => HoopState);
  /** What it does to layers, seams, bobbin and needle; null for what moves no cloth. */
  stack: null | ((op: OperationOf<K>) => StackEffect);
  /**
   * How the order of the work holds it: a `move` of the hoop needs the move before; `work` waits for the stop before it and
   * the next stop for it; `free` work may come a little earlier or later; `loose` binds nothing.
   */
  order: 'move' | 'work' | 'free' | 'loose';
  /** No stop goes past it: registration, the file or what is in the ring is another afterwards. */
  wall: boolean;
  /** In a hoop of several copies: once for all, once for each head, or once for each copy. */
  done: 'once' | 'each-head' | 'each-copy';
  /** What it is to a bobbin change: the change, a move of the hoop it needs, or work that goes along with it. */
  bobbin: 'change' | 'moves-hoop' | 'beside' | null;
  /** What to lay out before it comes. */
  ready: null | ((op: OperationOf<K>, readying: Readying) => string[]);
  /** How instruction sheets speak of it, in small letters. */
  spoken: RegExp | null;
  /** Answers a fresh one starts with; null where the maker cannot add one. */
  start: Readonly<Record<string, unknown>> | null;
  /** How each of its arguments is asked; null for one that is not. */
  fields: { readonly [P in Exclude<keyof OperationOf<K>, 'do'>]-?: Field | null };
}

/** Traits of some kinds of operation. */
export type TraitsOf<K extends OperationKind> = { readonly [P in K]: Traits<P> };
