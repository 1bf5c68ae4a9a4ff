import { isSame } from '$lib/core/documents/changes';
import type { Run, RunEvent } from '$lib/core/documents/run';
import type { Backup } from './backup';

/** Kinds of documents that two devices may both have. */
export type HandedKind = 'item' | 'setup' | 'order' | 'stash' | 'cut' | 'shop' | 'run';

/** A document of another device beside the one here. */
export interface Difference {
  kind: HandedKind;
  id: string;
  name: string;
  /** New here, or different; of a run, `more` where the other has gone on from what is here. */
  state: 'new' | 'differs' | 'more';
  /** Fields that differ, as they are called in the document. */
  fields: string[];
  /** When each was worked on last, ISO 8601; null where nobody wrote it down. */
  here: string | null;
  there: string | null;
}

/** Which of two documents is kept; a run’s events are always put together. */
export type Choice = 'here' | 'there' | 'both';

/** Name of a document among all of two devices. */
export const handedKey = ({ kind, id }: Pick<Difference, 'kind' | 'id'>): string => `${kind} ${id}`;

interface Documents {
  kind: HandedKind;
  of: (backup: Backup) => readonly object[];
}
const KINDS: readonly Documents[] = [
  { kind: 'item', of: ({ items }) => items },
  { kind: 'setup', of: ({ setups }) => setups },
  { kind: 'order', of: ({ orders }) => orders },
  { kind: 'stash', of: ({ stash }) => stash },
  { kind: 'cut', of: ({ cutJobs }) => cutJobs },
  { kind: 'shop', of: ({ shop }) => (shop ? [shop] : []) }
];
/** What changes at every touch and says nothing by itself. */
const STAMPS = new Set(['updatedAt']);

/**
 * What another device has that is not here, or is otherwise here; what is the same on both is left out.
 *
 * @example
 * differences(here, there) // [{ kind: 'item', name: 'Badger tab', state: 'differs', fields: ['steps'], … }]
 */
export function differences(here: Backup, there: Backup): Difference[] {
  const found = KINDS.flatMap(({ kind, of }) => {
    const own = new Map(of(here).map((document) => [idOf(document), document]));
    return of(there).flatMap((document): Difference[] => {
      const id = idOf(document);
      const mine = own.get(id);
      const fields = mine ? changedFields(mine, document) : [];
      if (mine && fields.length === 0) return [];
      return [
        {
          kind,
          id,
          name: nameOf(document, id),
          state: mine ? 'differs' : 'new',
          fields,
          here: mine ? textOf(mine, 'updatedAt') : null,
          there: textOf(document, 'updatedAt')
        }
      ];
    });
  });
  const runs = new Map(here.runs.map((run) => [run.id, run]));
  for (const run of there.runs) {
    const mine = runs.get(run.id);
    const last = (of: Run): string | null => {
      const at = of.events.at(-1)?.at;
      return at === undefined ? null : new Date(at).toISOString();
    };
    const merged = mine && mergedEvents(mine.events, run.events);
    if (mine && merged && merged.length === mine.events.length) continue;
    found.push({
      kind: 'run',
      id: run.id,
      name: run.itemName,
      state: mine ? 'more' : 'new',
      fields: [],
      here: mine ? last(mine) : null,
      there: last(run)
    });
  }
  return found;
}

/**
 * The events of one run as two devices wrote them, each once, numbered anew. They are ordered by what each device had seen
 * (Lamport, Time, clocks and the ordering of events, 1978) and never by wall clocks, so that what came after something stands
 * after it wherever the two are put together, and whoever begins. What both have is the same event however it is numbered.
 *
 * @example
 * mergedEvents([start, laid], [start, stitched]).map(({ seq }) => seq) // [1, 2, 3]
 */
export function mergedEvents(here: readonly RunEvent[], there: readonly RunEvent[]): RunEvent[] {
  // A writer’s clock goes up with each event, so it names one; events of before are told by all they say.
  const key = (event: RunEvent): string =>
    event.clock === undefined
      ? JSON.stringify(sorted({ ...event, seq: 0 }))
      : `${event.client} ${event.clock}`;
  const all = new Map<string, RunEvent>();
  for (const event of [...here, ...there]) if (!all.has(key(event))) all.set(key(event), event);
  const when = ({ clock, seq }: RunEvent): number => clock ?? seq;
  return [...all.values()]
    .sort(
      (a, b) => when(a) - when(b) || (a.client < b.client ? -1 : a.client > b.client ? 1 : 0) || a.at - b.at
    )
    .map((event, at) => ({ ...event, seq: at + 1 }));
}

/**
 * What is put into the store: all that is new, what the maker took of what differs, and runs put together.
 *
 * @param choices by `handedKey`; what is here stays where none is made
 * @param freshId for an item that is kept beside the one here
 */
export function takenOver(
  here: Backup,
  there: Backup,
  choices: ReadonlyMap<string, Choice>,
  freshId: () => string
): Pick<
  Backup,
  'items' | 'setups' | 'orders' | 'stash' | 'cutJobs' | 'runs' | 'photos' | 'pictures' | 'shop'
> {
  const told = new Map(differences(here, there).map((each) => [handedKey(each), each]));
  const choiceOf = (kind: HandedKind, id: string): Choice | null => {
    const each = told.get(handedKey({ kind, id }));
    if (!each) return null;
    return each.state === 'new' ? 'there' : (choices.get(handedKey(each)) ?? 'here');
  };
  const taken = <T extends object>(kind: HandedKind, list: readonly T[]): T[] =>
    list.filter((document) => choiceOf(kind, idOf(document)) === 'there');
  const beside = there.items.flatMap((item) =>
    choiceOf('item', item.id) === 'both'
      ? [{ ...item, id: freshId(), name: `${item.name}, other device` }]
      : []
  );
  const runs = there.runs.flatMap((run): Run[] => {
    if (!told.has(handedKey({ kind: 'run', id: run.id }))) return [];
    const mine = here.runs.find(({ id }) => id === run.id);
    if (!mine) return [run];
    return [
      {
        ...mine,
        finishedAt: mine.finishedAt ?? run.finishedAt,
        events: mergedEvents(mine.events, run.events)
      }
    ];
  });
  const known = new Set(here.photos.map(({ id }) => id));
  return {
    items: [...taken('item', there.items), ...beside],
    setups: taken('setup', there.setups),
    orders: taken('order', there.orders),
    stash: taken('stash', there.stash),
    cutJobs: taken('cut', there.cutJobs),
    shop: there.shop && choiceOf('shop', idOf(there.shop)) === 'there' ? there.shop : null,
    runs,
    photos: there.photos.filter(({ id }) => !known.has(id)),
    pictures: there.pictures
  };
}

function idOf(document: object): string {
  return textOf(document, 'id') ?? textOf(document, 'itemId') ?? '';
}

function nameOf(document: object, id: string): string {
  return textOf(document, 'name') ?? id;
}

function textOf(document: object, key: string): string | null {
  const value: unknown = Reflect.get(document, key);
  return typeof value === 'string' ? value : null;
}

function changedFields(mine: object, theirs: object): string[] {
  const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
  return [...keys].filter(
    (key) => !STAMPS.has(key) && !isSame(Reflect.get(mine, key), Reflect.get(theirs, key))
  );
}

/** An object with its fields in their order, so that equal ones read equal. */
function sorted(value: object): object {
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));
}
