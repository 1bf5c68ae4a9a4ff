/** A step of an instruction sheet: its number as printed, and its text, one part a cell where the sheet is a table. */
export interface SheetStep {
  /** As printed; null where the sheet numbers nothing. */
  number: string | null;
  section: string | null;
  parts: { text: string; lines: number[] }[];
}

/** Joins what ran over a line; a word broken at its hyphen is joined without it. */
export function joined(before: string, after: string): string {
  if (before === '') return after;
  if (/\p{L}{2}-$/u.test(before) && /^\p{Ll}/u.test(after)) {
    // "right-" + "side" keeps its hyphen only where both are words of their own.
    return /(?:right|wrong|tack|cut|tear|hoop|self|pre|hand|finger|zip|top|half|non|free|ready|double|triple)-$/i.test(
      before
    )
      ? before + after
      : before.slice(0, -1) + after;
  }
  return `${before} ${after}`;
}
