import { isSameLayout } from '$lib/core/documents/shop';
import { changeShop } from '$lib/data';
import type { Papers } from './papers.svelte';

/** Layouts of houses that a shop keeps. */
const MOST_KEPT = 100;

/**
 * Keeps what was settled about the columns of a paper: it reads the next one of its house.
 *
 * @param house whose design it is, where the maker says
 * @param now time, ISO 8601
 */
export async function keepLayout(papers: Papers, house: string, now: string): Promise<void> {
  const { layout, reading, source } = papers;
  if (!layout || !reading?.layout?.settled) return;
  const { structure, headings, cuts, fields } = reading.layout;
  const paper = source.kind === 'paper' ? source.name : (reading.title ?? 'a pasted chart');
  const kept = { name: house || paper, settledAt: now, structure, headings, cuts, fields };
  await changeShop((shop) => ({
    ...shop,
    layouts: [kept, ...(shop.layouts ?? []).filter((other) => !isSameLayout(other, kept))].slice(0, MOST_KEPT)
  }));
}

/** Forgets the kept layout that a paper was read by. */
export async function forgetLayout(papers: Papers): Promise<void> {
  const { readBy } = papers;
  if (!readBy) return;
  await changeShop((shop) => ({
    ...shop,
    layouts: (shop.layouts ?? []).filter((other) => !isSameLayout(other, readBy))
  }));
  papers.forgetLayout(readBy);
}
