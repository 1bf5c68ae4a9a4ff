import type { CutJob, DoneCut, KeptStrip } from '$lib/core/documents/cutJob';
import type { Hoop, OffcutRule } from '$lib/core/documents/shop';
import type { ClothEntry, StashChange, StashEntry } from '$lib/core/documents/stash';
import { worthKeeping } from '$lib/core/preparing/stash';
import { frameOf, remaindersOf } from '$lib/core/solvers/strips';
import { entryIdOf, sheetId, sheetNumberOf } from './cloths';
import type { MaterialPlan, PlannedCloth } from './result';

export interface ConfirmInput {
  job: CutJob;
  plans: readonly MaterialPlan[];
  cloth: PlannedCloth;
  entry: ClothEntry;
  rule: OffcutRule;
  hoops: readonly Hoop[];
  /** ISO 8601. */
  now: string;
  /** Gives an id nobody else has. */
  freshId: () => string;
}

/**
 * Marks the first strip of a cloth as cut: the cloth shrinks by it, and offcuts worth keeping become scraps of their own.
 * The rest of the plan is kept as it stands.
 *
 * @returns the job afterwards, and what changes in the stash
 * @throws RangeError when the cloth has no strip left to cut
 */
export function confirmCut(input: ConfirmInput): { job: CutJob; changes: StashChange[] } {
  const { job, plans, cloth, entry, now, freshId } = input;
  const [first, ...others] = cloth.strips;
  if (!first) throw new RangeError('There is no strip to cut on this cloth.');
  const rest = restOf(input, others.length > 0);
  const from = cloth.cloth.id;
  const moved = entry.form === 'sheets' ? { from, to: rest.opened } : null;
  const frame = { width: frameOf(cloth.cloth, cloth.along).width, height: first.strip.height };
  const scraps = remaindersOf([{ ...first.strip, y: 0 }], frame)
    .map(({ width, height }) => (cloth.along ? { width: height, height: width } : { width, height }))
    .filter((size) => worthKeeping(size, entry.kind, input.rule, input.hoops))
    .map((size) => scrapOf(entry, size, freshId()));
  const changes = [...rest.changes, ...scraps.map((after) => ({ id: after.id, before: null, after }))];
  const kept = plans.flatMap(({ cloths }) =>
    cloths.flatMap((each) => {
      const strips = each.cloth.id === from ? others : each.strips;
      return strips.map(({ strip }): KeptStrip => ({ clothId: each.cloth.id, along: each.along, strip }));
    })
  );
  const done: DoneCut = {
    at: now,
    clothName: cloth.name,
    kept: { clothId: from, along: cloth.along, strip: { ...first.strip, y: 0 } },
    changes,
    moved
  };
  return {
    job: {
      ...job,
      kept: kept.map((strip) => ({ ...strip, clothId: renamed(strip.clothId, from, rest.opened, entry) })),
      done: [...job.done, done]
    },
    changes
  };
}

/**
 * Takes back the last cut: the stash as it was, the strip kept on its cloth again.
 *
 * @param entries the stash as it is now
 * @returns undefined where there is nothing to take back; a problem where the stash has changed since
 */
export function undoCut(
  job: CutJob,
  entries: readonly StashEntry[]
): { ok: true; job: CutJob; changes: StashChange[] } | { ok: false; problem: string } | undefined {
  const last = job.done.at(-1);
  if (!last) return undefined;
  const touched = last.changes.find(({ id, after }) => {
    const now = entries.find((entry) => entry.id === id) ?? null;
    return JSON.stringify(now) !== JSON.stringify(after);
  });
  if (touched) {
    const name = touched.after?.name ?? touched.before?.name ?? last.clothName;
    return {
      ok: false,
      problem: `${name} has been used or changed since this cut, so it cannot be taken back. Put it right by hand in the stash.`
    };
  }
  const { from, to } = last.moved ?? { from: '', to: null };
  return {
    ok: true,
    job: {
      ...job,
      kept: [
        last.kept,
        ...job.kept.map((strip) => ({ ...strip, clothId: numberedBack(strip.clothId, from, to) }))
      ],
      done: job.done.slice(0, -1)
    },
    changes: last.changes.map(({ id, before, after }) => ({ id, before: after, after: before }))
  };
}

/** What is left of the cloth itself. */
function restOf(
  { cloth: planned, entry, rule, hoops, freshId }: ConfirmInput,
  more: boolean
): { changes: StashChange[]; opened: string | null } {
  const used = planned.strips[0]?.strip.height ?? 0;
  const { width, height } = planned.cloth;
  const size = planned.along
    ? { width: width - used, height: height ?? 0 }
    : { width, height: (height ?? 0) - used };
  const least = Math.min(size.width, size.height);
  const keep = least >= 1 && (more || worthKeeping(size, entry.kind, rule, hoops));
  if (entry.form === 'length' || entry.form === 'roll') {
    const after = least >= 1 ? { ...entry, height: size.height } : null;
    return { changes: [{ id: entry.id, before: entry, after }], opened: null };
  }
  if (entry.form === 'scrap') {
    const plain = withoutOutline(entry);
    return {
      changes: [{ id: entry.id, before: entry, after: keep ? { ...plain, ...size, stitched: [] } : null }],
      opened: null
    };
  }
  const after = entry.count > 1 ? { ...entry, count: entry.count - 1 } : null;
  const changes: StashChange[] = [{ id: entry.id, before: entry, after }];
  if (!keep) return { changes, opened: null };
  const rest = scrapOf(entry, size, freshId());
  return { changes: [...changes, { id: rest.id, before: null, after: rest }], opened: rest.id };
}

/** An offcut of an entry. */
function scrapOf(entry: ClothEntry, size: { width: number; height: number }, id: string): ClothEntry {
  return { ...withoutOutline(entry), ...size, id, form: 'scrap', count: 1, price: null, stitched: [] };
}

/** The shape of a scrap goes with the first cut. */
function withoutOutline(entry: ClothEntry): ClothEntry {
  const plain = { ...entry };
  delete plain.outline;
  return plain;
}

/** A sheet that was begun has an id of its own since, and the sheets behind it move up. */
function renamed(id: string, from: string, to: string | null, entry: ClothEntry): string {
  if (entry.form !== 'sheets' || entryIdOf(id) !== entry.id) return id;
  if (id === from) return to ?? id;
  const [at, begun] = [sheetNumberOf(id), sheetNumberOf(from)];
  return at > begun ? sheetId(entry.id, at - 2) : id;
}

function numberedBack(id: string, from: string, to: string | null): string {
  if (id === to) return from;
  if (!from.includes('#') || entryIdOf(id) !== entryIdOf(from)) return id;
  return sheetNumberOf(id) >= sheetNumberOf(from) ? sheetId(entryIdOf(id), sheetNumberOf(id)) : id;
}
