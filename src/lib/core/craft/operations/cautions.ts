import type { Operation } from '$lib/core/documents/item';

/** Where the work can hurt: the usual caution for an operation, or undefined. Local rules come first. */
export function cautionOf(op: Operation): string | undefined {
  switch (op.do) {
    case 'hoop-on':
    case 'trace':
      return 'The carriage will move: hands, hair and cords away from it.';
    case 'thread':
    case 'bobbin':
    case 'needle':
      return 'Halt the machine before you touch the needle.';
    case 'trim':
    case 'cut-away-behind':
    case 'cut-through':
    case 'cut-out':
    case 'cut-roughly':
      return 'Cut away from yourself, on a mat. Cap the blade when you put it down.';
    case 'punch':
      return 'Punch on a mat, fingers away from the tube.';
    case 'hardware':
      return op.kind !== 'snap' && op.kind !== 'eyelet'
        ? undefined
        : 'Small parts come off: not for children under three unless tested.';
    case 'press':
    case 'press-folds':
    case 'fuse':
    case 'heat-adhesive':
      return 'Hot iron: never on the machine bed, and never on the face of vinyl.';
    case 'spray':
      return SPRAY;
    case 'lay':
      return op.hold.by === 'spray' ? SPRAY : op.hold.by === 'pins' ? PINS : undefined;
    case 'pin':
      return PINS;
    default:
      return undefined;
  }
}

const SPRAY = 'Open a window and spray away from the machine, flames and screens.';
const PINS = 'A pin under the needle breaks both: keep pins clear of the stitching, and count them.';

/** The caution of a stop: the needle runs. */
export const STOP_CAUTION = 'Keep hands clear while it stitches. Stay in earshot.';
