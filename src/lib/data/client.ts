let id: string | undefined;

/** The id of this tab, written on every event it stores; it lasts as long as the page. */
export function clientId(): string {
  id ??= freshId();
  return id;
}

/** A new id for a document. */
export function freshId(): string {
  // randomUUID is only there on https and localhost; a tablet in the workroom may come by plain http.
  if (typeof crypto.randomUUID === 'function') return crypto.randomUUID();
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
}
