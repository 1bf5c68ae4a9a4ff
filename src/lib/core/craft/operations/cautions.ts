/** The usual cautions, said where they apply. Local rules come first. */
export const CAUTION = {
  carriage: 'The carriage will move: hands, hair and cords away from it.',
  needle: 'Halt the machine before you touch the needle.',
  blade: 'Cut away from yourself, on a mat. Cap the blade when you put it down.',
  punch: 'Punch on a mat, fingers away from the tube.',
  smallParts: 'Small parts come off: not for children under three unless tested.',
  iron: 'Hot iron: never on the machine bed, and never on the face of vinyl.',
  spray: 'Open a window and spray away from the machine, flames and screens.',
  pins: 'A pin under the needle breaks both: keep pins clear of the stitching, and count them.'
} as const;

/** The caution of a stop: the needle runs. */
export const STOP_CAUTION = 'Keep hands clear while it stitches. Stay in earshot.';
