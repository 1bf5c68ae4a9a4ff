import type { OperationKind } from '$lib/core/documents/item';

/** How sheets say what acts on no piece: at least five ways each. */
export const PLAIN: Partial<Record<OperationKind, { action: string; words: string[] }>> = {
  unhoop: {
    action: 'unhoop',
    words: [
      'Unhoop',
      'Take the work out of the hoop',
      'Release everything from the frame',
      'Remove the project from the hoop',
      'Lift the work out of the frame',
      'Pop the item out of the hoop'
    ]
  },
  'hoop-off': {
    action: 'hoop-off',
    words: [
      'Take the hoop off',
      'Hoop off',
      'Remove the hoop from the machine',
      'Slide the hoop off the arm',
      'Lift the frame off',
      'Take the frame off the machine',
      'Unclip the hoop'
    ]
  },
  'hoop-on': {
    action: 'hoop-on',
    words: [
      'Put the hoop back on',
      'Hoop on',
      'Return the hoop to the machine',
      'Slide the hoop onto the arm',
      'Reattach the frame',
      'Clip the hoop back in',
      'Put the hoop on the machine'
    ]
  },
  untape: {
    action: 'untape',
    words: [
      'Peel off the tape',
      'Remove the tape',
      'Take the tape off',
      'Pull off the tape',
      'Lift the tape',
      'Strip the tape off'
    ]
  },
  unpin: {
    action: 'unpin',
    words: [
      'Take out the pins',
      'Remove the pins',
      'Unpin it',
      'Pull the pins out',
      'Remove every pin',
      'Take the pins out'
    ]
  },
  bobbin: {
    action: 'change-bobbin',
    words: [
      'Put in a full bobbin',
      'Change the bobbin',
      'Load a fresh bobbin',
      'Insert the matching bobbin',
      'Swap the bobbin',
      'Use a bobbin of that colour'
    ]
  },
  thread: {
    action: 'change-thread',
    words: [
      'Change to the next colour',
      'Change the thread',
      'Switch to black thread',
      'Thread the machine with green',
      'Rethread',
      'Swap to the gold thread'
    ]
  },
  'tear-away': {
    action: 'tear-away',
    words: [
      'Tear away the stabiliser',
      'Tear off the stabiliser',
      'Remove the stabiliser',
      'Rip the stabiliser away',
      'Tear the stabiliser out',
      'Pull away the stabiliser'
    ]
  },
  rinse: {
    action: 'rinse',
    words: [
      'Rinse it',
      'Soak it in warm water',
      'Wash the film out',
      'Dissolve what is left in water',
      'Rinse until it feels soft',
      'Soak the work'
    ]
  },
  clip: {
    action: 'clip',
    words: [
      'Clip the curves',
      'Snip into the curves',
      'Notch the curves',
      'Clip the corners',
      'Nick the curves',
      'Cut notches into the curves'
    ]
  },
  'turn-through': {
    action: 'turn-through',
    words: [
      'Turn it right side out',
      'Turn the work right side out through the opening',
      'Pull it through the opening',
      'Turn the whole thing right sides out',
      'Turn it through',
      'Turn everything right way out'
    ]
  },
  'close-opening': {
    action: 'close-opening',
    words: [
      'Sew the opening shut',
      'Close the opening by hand',
      'Slip-stitch the gap',
      'Ladder-stitch the opening closed',
      'Stitch the gap closed',
      'Hand-sew the opening'
    ]
  },
  'cut-out': {
    action: 'cut-out',
    words: [
      'Cut it out',
      'Cut the shape out',
      'Cut around the outline',
      'Cut everything out 3 mm outside the stitches',
      'Cut the work out with sharp scissors',
      'Trim around the outside'
    ]
  },
  hardware: {
    action: 'attach-hardware',
    words: [
      'Set the snap',
      'Attach the split ring',
      'Press in the eyelet',
      'Fit the snap',
      'Add the key ring',
      'Sew on the hook and loop tape'
    ]
  }
};
