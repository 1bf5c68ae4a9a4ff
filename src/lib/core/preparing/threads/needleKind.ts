import type { MaterialKind, Role } from '$lib/core/documents/item';

/** What is under the needle in one hooping, and what goes through it. */
export interface UnderNeedle {
  materials: readonly MaterialKind[];
  /** Most layers stitched through at once, plies counted. */
  layers: number;
  roles: readonly Role[];
  stitches: number;
  threads: readonly string[];
}

/** A needle to put in, and why. */
export interface NeedleAdvice {
  kind: 'universal' | 'ballpoint' | 'large eye';
  size: '75/11' | '80/12' | '90/14';
  /** A new one is worth it before the start. */
  fresh: boolean;
  why: string;
}

const STRETCHES: readonly MaterialKind[] = ['knit', 'stretch-mesh'];
const THICK: readonly MaterialKind[] = ['vinyl', 'towelling', 'fleece', 'canvas'];
const WOVEN: readonly MaterialKind[] = ['woven', 'felt'];
/** From so many layers on a needle has a thick stack to go through. */
const THICK_LAYERS = 5;
/** An item with so many stitches is a heavy one. */
const HEAVY = 15_000;
const SPECIAL = /metallic|opal|glitter|foil/i;

/**
 * Kind and size of needle: ballpoint for knits, 90/14 for thick layers, 80/12 for appliqué on cotton, 75/11 for light
 * work; thread that frays asks for a larger eye.
 *
 * @example
 * needleFor({ materials: ['woven', 'tear-away'], layers: 2, roles: ['applique-edge'], stitches: 4000, threads: ['Rust'] })
 * // { kind: 'universal', size: '80/12', fresh: false, why: 'appliqué on cloth' }
 */
export function needleFor(under: UnderNeedle): NeedleAdvice {
  const { materials, layers, roles, stitches, threads } = under;
  const thick = layers >= THICK_LAYERS || (layers >= 3 && materials.some((kind) => THICK.includes(kind)));
  const applique =
    materials.some((kind) => WOVEN.includes(kind)) &&
    roles.some((role) => role === 'applique-edge' || role === 'satin-edge' || role === 'tack-down');
  const special = threads.find((name) => SPECIAL.test(name));
  const stretch = materials.some((kind) => STRETCHES.includes(kind));
  const fresh = stitches >= HEAVY || thick;
  const size = thick || special !== undefined ? '90/14' : applique ? '80/12' : '75/11';
  const reasons = [
    ...(special === undefined ? [] : [`${special} frays in a small eye`]),
    ...(stretch ? ['a knit is pushed aside, not cut'] : []),
    thick ? `${layers} layers at once` : applique ? 'appliqué on cloth' : 'light work',
    ...(stitches >= HEAVY ? [`${stitches.toLocaleString('en')} stitches`] : [])
  ];
  return {
    kind: special !== undefined ? 'large eye' : stretch ? 'ballpoint' : 'universal',
    size,
    fresh,
    why: reasons.join('; ')
  };
}
