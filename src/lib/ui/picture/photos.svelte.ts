import { messageOf } from '$lib/core/base/problems';
import { untrack } from 'svelte';
import { SvelteMap, SvelteSet } from 'svelte/reactivity';

/** Gives a picture by its id; undefined where this browser does not have it. */
type Source = (id: string) => Promise<Blob | undefined>;

let source: Source = () => Promise.resolve(undefined);
const urls = new SvelteMap<string, string>();
const asked = new SvelteSet<string>();

/** Says where pictures come from. Drawings know no store; the layout of the pages tells them once. */
export function picturesFrom(read: Source): void {
  source = read;
}

/** The address of a picture that was wanted; undefined until it is there, or where there is none. */
export function photoUrl(id: string): string | undefined {
  return urls.get(id);
}

/** Has pictures fetched; each once, and again where it was not there. */
export function wantPhotos(ids: readonly string[]): void {
  untrack(() => {
    for (const id of ids) {
      if (asked.has(id)) continue;
      asked.add(id);
      void fetched(id);
    }
  });
}

async function fetched(id: string): Promise<void> {
  const image = await source(id).catch((problem: unknown) => {
    console.info(`A picture is not shown: ${messageOf(problem)}`);
    return undefined;
  });
  if (image) urls.set(id, URL.createObjectURL(image));
  else asked.delete(id);
}
