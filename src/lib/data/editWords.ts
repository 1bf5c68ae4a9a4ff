import { isSame } from '$lib/core/documents/changes';
import type { RowKind } from '$lib/core/documents/files';
import type { DocumentChange } from './history';

/** Documents that edits change; what happened at the machine is not edited. */
export type EditedKind = Exclude<RowKind, 'run'>;

/** What an undo calls a change, by the field it touched. */
const FIELD_WORDS: Partial<Record<EditedKind, Record<string, string>>> = {
  item: {
    steps: 'a step',
    files: 'a stop',
    pieces: 'a piece',
    threads: 'a thread',
    variants: 'a variant',
    answers: 'an answer',
    art: 'a design’s picture',
    photo: 'the photo of the item'
  },
  setup: {
    variantId: 'the variant',
    machineId: 'the machine',
    hoopId: 'the hoop',
    copies: 'how many',
    threads: 'a spool',
    bobbin: 'the bobbin',
    bobbinKind: 'the bobbin',
    bobbinOn: 'the bobbin',
    person: 'whose hands'
  },
  shop: {
    machines: 'the machines',
    hoops: 'the hoops',
    hands: 'the hand times',
    margins: 'the margins',
    offers: 'what can be bought',
    offcuts: 'the offcuts worth keeping',
    bobbins: 'the bobbins',
    people: 'who works here',
    unit: 'the unit',
    rounding: 'the rounding',
    schools: 'a way of working'
  },
  order: {
    lines: 'the pieces',
    bench: 'the hours',
    rates: 'the rates',
    due: 'the due date',
    from: 'the start',
    people: 'how many hands',
    machineIds: 'the machines',
    name: 'the name',
    customer: 'the customer'
  },
  'cut job': { wants: 'what is cut', choices: 'where it comes from', kept: 'a strip kept' }
};

/** What an undo calls a change. @example `a step · Badger luggage tab` */
export function wordsFor({ kind, before, after }: DocumentChange): string {
  const [was, is] = [(before ?? {}) as Record<string, unknown>, (after ?? {}) as Record<string, unknown>];
  const changed = Object.keys({ ...was, ...is }).find((key) => !isSame(was[key], is[key]));
  const words = FIELD_WORDS[kind as EditedKind]?.[changed ?? ''] ?? 'a change';
  const name = is.name ?? was.name;
  return typeof name === 'string' && kind !== 'shop' ? `${words} · ${name}` : words;
}
