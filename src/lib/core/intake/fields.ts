/** A column of a chart. */
export type Field = 'number' | 'name' | 'colour' | 'stitches' | 'thread';
