/** How a step is drawn at the machine. */
export type View = 'above' | 'angle' | 'side';

export const VIEWS: readonly { id: View; name: string }[] = [
  { id: 'above', name: 'From above' },
  { id: 'angle', name: 'Layers' },
  { id: 'side', name: 'From the side' }
];

/**
 * The view after another, as V shows them in turn.
 *
 * @example
 * nextView('side') // 'above'
 */
export function nextView(view: View): View {
  const at = VIEWS.findIndex(({ id }) => id === view);
  return VIEWS[(at + 1) % VIEWS.length]?.id ?? 'above';
}
