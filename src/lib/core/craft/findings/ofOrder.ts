import { inside, saying } from './saying';

/** Sayings about the order of the work and where pieces lie. */
export const ORDER_SAYINGS = {
  'impossible/step': saying<{ problem: string }>(
    'warn',
    ({ problem }) => problem,
    'Move the step, or put what it needs before it.'
  ),
  'block/left-out': saying<{ what: string; why: string; repair: string }>(
    'stop',
    ({ what, why }) => `${what} is not on this sheet. ${why}`,
    ({ repair }) => repair
  ),
  'order/never-unhooped': saying<{ onMachine: boolean }>(
    'warn',
    ({ onMachine }) =>
      onMachine
        ? 'The sheet ends with the hoop still on the machine.'
        : 'The sheet ends with the work still in the hoop.',
    'Take it out of the hoop at the end.'
  ),
  'order/needs': saying<{ step: string; needs: string }>(
    'stop',
    ({ step, needs }) => `“${step}” comes before “${needs}”, which it needs.`,
    ({ needs }) => `Do it after “${needs}”.`
  ),
  'registration/unhooped': saying<{ stop: number }>(
    'stop',
    ({ stop }) =>
      `Stop ${stop} runs after the work is out of the hoop, so it cannot meet the stops before it.`,
    'Unhoop only when every stop of this hooping is done.'
  ),
  'registration/other-hooping': saying<{ called: string }>(
    'stop',
    ({ called }) => `${called} belongs to another hooping than the one in the ring.`,
    'Move it back to its own hooping.'
  ),
  'registration/unplaced': saying<Record<string, never>>(
    'stop',
    () => 'The piece comes from another hooping, and no placement line is stitched for it in this one.',
    'Stitch its placement line first, then lay the piece on it.'
  ),
  'covered/later': saying<{ called: string; piece: string }>(
    'warn',
    ({ called, piece }) => `${piece} hides what ${called.toLowerCase()} has stitched.`,
    'Move the design or the piece, or stitch it once the piece lies there.'
  ),
  'covered/surface': saying<{ called: string; layer: string; hidden: boolean }>(
    'stop',
    ({ called, layer, hidden }) =>
      `${called} would be stitched on ${hidden ? layer : `the wrong side of ${layer}`}, after its surface is covered.`,
    ({ layer }) => `Stitch it before ${layer} goes on.`
  ),
  'through/back': saying<{ called: string; piece: string }>(
    'warn',
    ({ called, piece }) => `${called} would go through ${piece} and show there.`,
    ({ piece }) => `Stitch it before ${piece} goes on, or say that it is intended.`
  ),
  'reachable/between': saying<{ layer: string; below: string; above: string; last: string }>(
    'stop',
    ({ layer, below, above }) =>
      `${layer} cannot be trimmed any more: it lies between ${below} and ${above}.`,
    ({ last }) => `Trim it before ${last} goes on.`
  ),
  'reachable/loose': saying<{ layer: string }>(
    'warn',
    ({ layer }) => `${layer} is trimmed before any stitch holds it.`,
    'Stitch its tack-down first.'
  ),
  'untacked/over': saying<{ piece: string; called: string }>(
    'warn',
    ({ piece, called }) => `${piece} is not tacked down yet when ${inside(called)} runs.`,
    'Let its tack-down stitch first.'
  ),
  'order/before-piece': saying<{ stop: number | null; name: string; piece: string }>(
    'warn',
    ({ stop, name, piece }) => `Stop ${stop ?? '?'}, ${name.toLowerCase()}, runs before ${piece} is laid.`,
    ({ piece }) => `Lay ${piece} first, or give the stop its right name.`
  ),
  'frame/forward': saying<{ called: string }>(
    'stop',
    ({ called }) => `${called} would be stitched with the frame forward.`,
    'Send the frame back before it.'
  ),
  'halts/one-colour': saying<{ stop: number }>(
    'stop',
    ({ stop }) => `Hands are needed after stop ${stop}, but in one-colour mode the machine runs through.`,
    'Leave one-colour mode out for this file.'
  ),
  'halts/runs-on': saying<{ stop: number; machine: string }>(
    'warn',
    ({ stop, machine }) => `Hands are needed after stop ${stop}, but ${machine} runs straight on.`,
    'Program a halt after it, or be there to catch the machine.'
  )
};
