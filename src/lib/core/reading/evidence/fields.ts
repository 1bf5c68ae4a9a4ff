/** A column of a chart. */
export type Field = 'number' | 'name' | 'colour' | 'code' | 'stitches' | 'thread';
