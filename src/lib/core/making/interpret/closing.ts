import type { SheetReading } from '$lib/core/reading/sheets';

/** The closing seam of a sheet that turns its work through an opening, or through an overlap. */
export function closingOf({ actions, sentences }: SheetReading): { opens: boolean } | null {
  if (!actions.some(({ action }) => action === 'turn-through')) return null;
  const opens =
    actions.some(({ action }) => action === 'close-opening') ||
    sentences.some(
      ({ text }) =>
        (/\b(?:opening|gap)\b/i.test(text) && !/\bno (?:opening|gap)\b/i.test(text)) ||
        /\bleav(?:e|es|ing)\b.*\bopen\b|\b(?:stays|is left) open\b/i.test(text)
    );
  return { opens };
}
