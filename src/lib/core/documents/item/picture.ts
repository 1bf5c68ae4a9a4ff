import { z } from 'zod';

const Id = z.string().min(1).max(120);
const Side = z.number().min(1, 'a side must be above 0').max(5000);
/** Of a side of the picture. */
const Share = z.number().min(0).max(0.95);

/** A photo of a cloth with its scale, so that a print shows true to size; the picture itself lies in the browser by its id. */
export const ClothPhoto = z.object({
  picture: Id,
  width: Side.describe('of the cloth that the photo shows, mm'),
  height: Side.describe('of the cloth that the photo shows, mm')
});
export type ClothPhoto = z.infer<typeof ClothPhoto>;

/** A design’s own picture in the place of stitches that nobody has, placed and cropped by hand. */
export const Art = z.object({
  id: Id,
  picture: Id,
  stopIds: z.array(Id).min(1).max(1000).describe('stops whose stitching it shows'),
  x: z.number().min(-2500).max(2500).describe('its middle, mm'),
  y: z.number().min(-2500).max(2500).describe('its middle, mm'),
  width: Side.describe('of what is left after cropping, mm'),
  height: Side.describe('of what is left after cropping, mm'),
  turn: z.number().min(-180).max(180).default(0).describe('degrees, clockwise'),
  crop: z
    .object({ left: Share, top: Share, right: Share, bottom: Share })
    .default({ left: 0, top: 0, right: 0, bottom: 0 })
    .describe('what is taken off each side')
});
export type Art = z.infer<typeof Art>;

/** Ids of the pictures that a document shows. */
export function picturesIn(item: {
  photo?: string | undefined;
  art?: readonly Pick<Art, 'picture'>[] | undefined;
  pieces: readonly { material: { photo?: ClothPhoto | undefined } }[];
}): string[] {
  return [
    ...(item.photo === undefined ? [] : [item.photo]),
    ...(item.art ?? []).map(({ picture }) => picture),
    ...item.pieces.flatMap(({ material }) => (material.photo ? [material.photo.picture] : []))
  ];
}
