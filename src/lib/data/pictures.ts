import { picturesIn } from '$lib/core/documents/item';
import { type Picture, db } from './db';

/** Pictures that nothing shows are kept so long, ms: what was just taken out can still be put back. */
const KEPT_MS = 86_400_000;

/** Keeps a picture and gives it. */
export async function addPicture(picture: Picture): Promise<Picture> {
  await db.pictures.put(picture);
  return picture;
}

export async function getPicture(id: string): Promise<Blob | undefined> {
  return (await db.pictures.get(id))?.image;
}

/** Ids of all pictures that items and cloths show. */
export async function picturesShown(): Promise<Set<string>> {
  const shown = new Set<string>();
  await db.items.each((item) => picturesIn(item).forEach((id) => shown.add(id)));
  await db.stash.each((entry) => {
    if (entry.what === 'cloth' && entry.photo) shown.add(entry.photo.picture);
  });
  return shown;
}

/** Takes out pictures that nothing has shown for a day. @param now milliseconds since 1970 */
export async function clearPictures(now: number): Promise<void> {
  const old = await db.pictures.filter(({ at }) => now - at > KEPT_MS).primaryKeys();
  // Every item is read to know what is shown, so only where there is something to take out.
  if (old.length === 0) return;
  const shown = await picturesShown();
  await db.pictures.bulkDelete(old.filter((id) => !shown.has(id)));
}
