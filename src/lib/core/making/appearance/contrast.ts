import { contains, pointsAlong } from '$lib/core/base/geometry';
import { differenceCiede2000, modeLab65, modeRgb, useMode } from 'culori/fn';
import type { Appearance, Side } from './appearance';
import { faceColour } from './faceColour';

useMode(modeRgb);
useMode(modeLab65);

/** How a thread stands against a cloth, from what the eye tells apart. */
export type Contrast = 'hardly seen' | 'soft' | 'clear' | 'strong';

/** Largest difference (CIEDE2000) of each; about 2 is the least an eye sees side by side. */
const HARDLY = 8;
const SOFT = 18;
const CLEAR = 38;
/** A path is looked at so often, mm. */
const EVERY = 4;

/** A visible thread and each cloth it crosses. */
export interface ThreadOnCloth {
  stepId: string;
  side: Side['side'];
  cloths: { name: string; contrast: Contrast }[];
}

const difference = differenceCiede2000();

/**
 * How a thread’s colour stands against a cloth’s.
 *
 * @example
 * contrastOf('#b0873a', '#8d2f35') // 'clear'
 */
export function contrastOf(thread: string, cloth: string): Contrast {
  const apart = difference(thread, cloth);
  return apart < HARDLY ? 'hardly seen' : apart < SOFT ? 'soft' : apart < CLEAR ? 'clear' : 'strong';
}

/**
 * How every visible thread stands against the cloths under it; one that goes across several is told for each.
 *
 * @example
 * threadsOnCloth(look)[0]?.cloths // [{ name: 'LOWER FRONT', contrast: 'clear' }]
 */
export function threadsOnCloth({ sides }: Appearance): ThreadOnCloth[] {
  return sides.flatMap(({ side, patches, threads }) =>
    threads.map(({ stepId, colours, paths }): ThreadOnCloth => {
      const points = paths.flatMap((path) => pointsAlong(path, EVERY));
      const under = patches.filter(({ region }) => points.some((point) => contains(region, point)));
      return {
        stepId,
        side,
        cloths: under.map(({ name, colour, rightSide }) => ({
          name,
          contrast: contrastOf(colours[0] ?? '#ffffff', faceColour(colour, rightSide))
        }))
      };
    })
  );
}
