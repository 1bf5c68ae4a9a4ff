import type { MaterialKind } from '$lib/core/documents/item';
import type { Standing } from './standing';

/** Why a block cannot stand where it is put, and the nearest thing that would mend it. */
export interface Refusal {
  why: string;
  repair: string;
}

/** Cloth that may be left with a raw edge. */
export const STAYS_WHOLE: readonly MaterialKind[] = ['felt', 'vinyl', 'fleece'];

/** Something must be in the ring, and not taken out for good. */
export function needsRing({ hooping, out }: Standing): Refusal | null {
  if (hooping !== null) return null;
  return out
    ? { why: 'The work is out of the hoop by then.', repair: 'Move it before the finishing.' }
    : { why: 'Nothing is hooped yet.', repair: 'Put a hooping before it.' };
}

/** Nothing may be in the ring yet. */
export function needsNoRing({ hooping }: Pick<Standing, 'hooping'>): Refusal | null {
  return hooping === null
    ? null
    : { why: 'Something is hooped already.', repair: 'Take the other hooping out, or finish it first.' };
}

/** Cloth must lie open to the needle. */
export function needsSurface(standing: Standing): Refusal | null {
  const ring = needsRing(standing);
  if (ring) return ring;
  if (standing.covered)
    return {
      why: `The back lies over everything: it would be stitched through ${standing.covered.name}.`,
      repair: 'Move it before the back.'
    };
  if (!standing.top)
    return {
      why: 'No cloth lies open to stitch on.',
      repair: 'Put a front, or cloth in the hooping, before it.'
    };
  if (standing.under && standing.edged) return afterEdge;
  return null;
}

const afterEdge: Refusal = { why: 'The edge is stitched already.', repair: 'Move it before the edge.' };

/** Cloth laid on a topping would shut it in for good, and what is cut would be cut with it. */
export function noTopping({ toppings }: Standing): Refusal | null {
  const [film] = toppings;
  return film
    ? {
        why: `${film.name} lies on the work already: it could not be torn away whole any more.`,
        repair: 'Move it before the topping.'
      }
    : null;
}

/** What is fused in the hoop lies on nothing that the iron melts. */
export function noFilmUnderTheIron({ ring }: Standing): Refusal | null {
  return ring.some(({ material }) => material.kind === 'wash-away-film')
    ? { why: 'The film in the ring melts under the iron.', repair: 'Lay it, or take another stabiliser.' }
    : null;
}

/** A thing that was bought finished has its own back and edge. */
export function notReadyMade({ readyMade: thing }: Standing): Refusal | null {
  return thing
    ? {
        why: `${thing.name} is finished already: it gets no back and no edge of its own.`,
        repair: 'Take it out, or hoop cloth to be cut instead.'
      }
    : null;
}

/** Nothing may be added once front and back are sewn to each other, or the edge is on. */
export function beforeClosing(standing: Standing): Refusal | null {
  const ring = needsRing(standing);
  if (ring) return ring;
  if (standing.closing)
    return { why: 'Front and back are closed already.', repair: 'Move it before the back.' };
  if (standing.covered)
    return { why: 'A back lies on the front already.', repair: 'Move it before the back.' };
  return standing.edged ? afterEdge : null;
}

/** Only once it is out of the ring. */
export function needsOut({ out }: Standing): Refusal | null {
  return out ? null : { why: 'It is still in the hoop.', repair: 'Move it after the finishing.' };
}
