import type { Layer, StackState } from './state';

/** A face of the finished item: the layer that shows, and whether it is its right side. */
export interface Shown {
  layer: Layer;
  rightSide: boolean;
}

/** What one sees of an item that is finished at its edge, not turned. */
export interface Outside {
  front: Shown | null;
  back: Shown | null;
  /** Layers between the two, from the front down. */
  hidden: Layer[];
}

/**
 * The faces of an item finished at its edge: in front the upper face of the top layer, behind the lower face of
 * the bottom one.
 *
 * @example
 * outside(lastStateOfTheTab).back?.rightSide // true
 */
export function outside({ layers }: StackState): Outside {
  const top = layers.at(-1);
  const bottom = layers[0];
  return {
    front: top ? { layer: top, rightSide: top.face === 'up' } : null,
    back: bottom ? { layer: bottom, rightSide: bottom.face === 'down' } : null,
    hidden: layers.slice(1, -1).reverse()
  };
}
