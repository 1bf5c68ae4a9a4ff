/** A column of a chart, or a label of its blocks. */
export type Field = 'number' | 'name' | 'colour' | 'code' | 'stitches' | 'thread';

/** The fields of a row in the order in which a block is handed on. */
export const FIELDS = ['number', 'name', 'colour', 'code', 'stitches', 'thread'] as const;
