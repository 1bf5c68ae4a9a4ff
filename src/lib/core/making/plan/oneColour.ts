import type { Item } from '$lib/core/documents/item';

/**
 * The item as it is stitched where files run in one-colour mode: every stop of such a file in the thread of its first.
 *
 * @example
 * inOneColour(meshLace).files[0].stops.map(({ threadId }) => threadId) // ['green', 'green', 'green']
 */
export function inOneColour(item: Item): Item {
  if (!item.files.some(({ oneColour }) => oneColour)) return item;
  return {
    ...item,
    files: item.files.map((file) => {
      const [first] = file.stops;
      if (!file.oneColour || !first) return file;
      return { ...file, stops: file.stops.map((stop) => ({ ...stop, threadId: first.threadId })) };
    })
  };
}
