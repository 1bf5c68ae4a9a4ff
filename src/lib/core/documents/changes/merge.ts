/** Everything a document is made of. */
type Json = unknown;
type JsonObject = Record<string, Json>;
interface Named {
  id: string;
}
interface Row extends JsonObject, Named {}

/** A change carried over to what stands now, or the place where both changed the same. */
export type Merged = { ok: true; value: Json } | { ok: false; path: string };

/**
 * Carries a change over to a document that may have been changed meanwhile: what the change touched takes its new value,
 * all else stays as it stands now. Rows of lists are told apart by their `id`.
 *
 * @param before the document the change began with
 * @param after what the change made of it
 * @param now the document as it stands
 * @returns the path of the first place that was changed in both ways, where there is one
 *
 * @example
 * merge({ a: 1, b: 1 }, { a: 2, b: 1 }, { a: 1, b: 3 }) // { ok: true, value: { a: 2, b: 3 } }
 */
export function merge(before: Json, after: Json, now: Json): Merged {
  return mergeAt(before, after, now, '');
}

/**
 * Carries a change over as `merge` does; where both changed the same, the change carried over wins.
 *
 * @example
 * carried({ a: 1 }, { a: 2 }, { a: 3, b: 1 }) // { a: 2, b: 1 }
 */
export function carried<T extends object>(before: T, after: T, now: T): T {
  const merged = merge(before, after, now);
  if (merged.ok) return merged.value as T;
  const rows: JsonObject = { ...(now as JsonObject) };
  for (const [key, value] of Object.entries(after)) {
    const own = merge((before as JsonObject)[key], value, rows[key]);
    rows[key] = own.ok ? own.value : value;
  }
  return rows as T;
}

function mergeAt(before: Json, after: Json, now: Json, path: string): Merged {
  if (isSame(before, after)) return { ok: true, value: now };
  if (isSame(before, now) || isSame(after, now)) return { ok: true, value: after };
  if (isRows(before) && isRows(after) && isRows(now)) return mergeRows(before, after, now, path);
  if (isObject(before) && isObject(after) && isObject(now)) return mergeObjects(before, after, now, path);
  return { ok: false, path };
}

function mergeObjects(before: JsonObject, after: JsonObject, now: JsonObject, path: string): Merged {
  const value: JsonObject = {};
  for (const key of new Set([...Object.keys(now), ...Object.keys(after)])) {
    const merged = mergeAt(before[key], after[key], now[key], path === '' ? key : `${path}.${key}`);
    if (!merged.ok) return merged;
    if (merged.value !== undefined) value[key] = merged.value;
  }
  return { ok: true, value };
}

function mergeRows(before: Row[], after: Row[], now: Row[], path: string): Merged {
  const byId = (rows: readonly Row[]): Map<string, Row> => new Map(rows.map((row) => [row.id, row]));
  const [was, wanted, stands] = [byId(before), byId(after), byId(now)];
  const merged = new Map<string, Row>();
  for (const id of new Set([...stands.keys(), ...wanted.keys()])) {
    const row = mergeAt(was.get(id), wanted.get(id), stands.get(id), `${path}.${id}`);
    if (!row.ok) return row;
    if (row.value !== undefined) merged.set(id, row.value as Row);
  }
  const order = orderOf(before, after, now);
  return order ? { ok: true, value: order.flatMap((id) => merged.get(id) ?? []) } : { ok: false, path };
}

/**
 * Rows of three versions in one order: that of the change where only it moved some, that of now where only that did, and that
 * of the change where both did; rows only one of them has follow the row they followed there.
 *
 * @param moved is called where both moved rows, so that the order of now is given up
 *
 * @example
 * rowOrder([a, b], [a, x, b], [b, a]) // ['b', 'a', 'x']
 */
export function rowOrder(
  before: readonly { id: string }[],
  after: readonly { id: string }[],
  now: readonly { id: string }[],
  moved: () => void = () => undefined
): string[] {
  const order = orderOf([...before], [...after], [...now]);
  if (order) return order;
  moved();
  return withRows(
    after.map(({ id }) => id),
    now.map(({ id }) => id)
  );
}

/** The order of rows: that of whoever moved some, the other’s new rows after the row they followed. Null where both moved. */
function orderOf(before: Named[], after: Named[], now: Named[]): string[] | null {
  const ids = (rows: readonly Named[]): string[] => rows.map(({ id }) => id);
  const both = (rows: readonly Named[]): string[] =>
    ids(rows).filter((id) => [before, after, now].every((each) => each.some((row) => row.id === id)));
  const [was, wanted, stands] = [both(before), both(after), both(now)];
  if (isSame(was, stands)) return withRows(ids(after), ids(now));
  if (isSame(was, wanted) || isSame(wanted, stands)) return withRows(ids(now), ids(after));
  return null;
}

function withRows(order: readonly string[], from: readonly string[]): string[] {
  const made = [...order];
  from.forEach((id, at) => {
    if (made.includes(id)) return;
    const previous = from.slice(0, at).findLast((other) => made.includes(other));
    made.splice(previous === undefined ? 0 : made.indexOf(previous) + 1, 0, id);
  });
  return made;
}

/** Whether two values are the same, whatever the order of their keys; a key without a value counts for nothing. */
export function isSame(one: Json, other: Json): boolean {
  if (Object.is(one, other)) return true;
  if (Array.isArray(one) && Array.isArray(other))
    return one.length === other.length && one.every((each, at) => isSame(each, other[at]));
  if (!isObject(one) || !isObject(other)) return false;
  return [...new Set([...Object.keys(one), ...Object.keys(other)])].every((key) =>
    isSame(one[key], other[key])
  );
}

function isObject(value: Json): value is JsonObject {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isRows(value: Json): value is Row[] {
  return (
    Array.isArray(value) &&
    value.every((row) => isObject(row) && typeof row.id === 'string') &&
    new Set(value.map((row: Row) => row.id)).size === value.length
  );
}
