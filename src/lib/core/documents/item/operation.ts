import { z } from 'zod';

/**
 * What hands do, as data. Wording, time, cautions and drawings all come from the same operation; free text
 * is only a note beside it. Ids name pieces (`pieceId`), lines (`lineId`), threads (`threadId`) of the item.
 */

/** Ids say what they name, so that whatever refers to something is found without a list (references.ts). */
const PieceId = z.string().min(1).meta({ refers: 'piece' });
const LineId = z.string().min(1).meta({ refers: 'line' });
const ThreadId = z.string().min(1).meta({ refers: 'thread' });
const Mm = z.number().min(0).max(2000);

/** The face of a layer as seen from above in stitching position, whichever way the hoop is held. */
export const Face = z.enum(['up', 'down']);
export type Face = z.infer<typeof Face>;

/** What holds a piece until stitches do. */
export const Hold = z.discriminatedUnion('by', [
  z.object({ by: z.literal('tape'), strips: z.number().int().min(1).max(40) }),
  z.object({ by: z.literal('spray') }),
  z.object({ by: z.literal('glue') }),
  z.object({
    by: z.literal('pins'),
    pins: z.number().int().min(1).max(40),
    away: Mm.default(12).describe('distance from the nearest stitching line, mm')
  }),
  z.object({ by: z.literal('fuse') }),
  z.object({ by: z.literal('hand') }),
  z.object({ by: z.literal('nothing') })
]);
export type Hold = z.infer<typeof Hold>;

/** A piece laid with one straight edge along a line, its body to one side, ready to be flipped there. */
export const EdgeOnLine = z.object({
  lineId: LineId,
  body: z.enum(['left', 'right', 'up', 'down']).describe('side of the line the piece lies on, from above'),
  allowance: Mm.default(12).describe('how far the edge reaches over the line, mm')
});
export type EdgeOnLine = z.infer<typeof EdgeOnLine>;

/** Hardware set by hand at the end. */
export const HARDWARE = ['snap', 'eyelet', 'split-ring', 'ribbon-loop', 'hook-and-loop'] as const;

/** What is done to parts outside the hoop to make one thing of them. */
const SEW_UPS = ['join', 'lap', 'fold', 'box', 'zip', 'close', 'turn', 'line', 'stuff'] as const;

/** Why nothing may be touched for a while. */
const WAITS = ['fray-fluid', 'glue', 'soak', 'dry'] as const;

/** Further lines that are cut round in the same step. */
const AlsoLineIds = z.array(LineId).optional().describe('lines of further parts, each cut round too');

/** Layers a cut must not touch, though they lie where it is made. */
const KeepIds = z.array(PieceId).optional().describe('layers that stay whole');

export const Operation = z.discriminatedUnion('do', [
  z.object({ do: z.literal('hoop'), pieceIds: z.array(PieceId).min(1), sticky: z.boolean().default(false) }),
  z.object({ do: z.literal('unhoop') }),
  z.object({ do: z.literal('hoop-on') }),
  z.object({ do: z.literal('hoop-off') }),
  z.object({ do: z.literal('turn-over') }),
  z.object({ do: z.literal('frame-forward') }),
  z.object({ do: z.literal('frame-back') }),
  z.object({
    do: z.literal('lay'),
    pieceId: PieceId,
    side: z.enum(['above', 'below']),
    face: Face,
    covers: LineId.optional(),
    over: Mm.default(0),
    edge: EdgeOnLine.optional(),
    hold: Hold.default({ by: 'nothing' })
  }),
  z.object({
    do: z.literal('float'),
    pieceId: PieceId,
    side: z.enum(['above', 'below']),
    face: Face.default('up')
  }),
  z.object({ do: z.literal('lift'), pieceId: PieceId }),
  z.object({ do: z.literal('mount'), position: z.number().int().min(1).max(4) }),
  z.object({ do: z.literal('tape'), pieceId: PieceId, strips: z.number().int().min(1).max(40) }),
  z.object({
    do: z.literal('untape'),
    strips: z.number().int().min(1).max(40),
    pieceIds: z.array(PieceId).optional().describe('pieces it is taken off; all where missing')
  }),
  z.object({ do: z.literal('spray'), pieceId: PieceId }),
  z.object({ do: z.literal('glue'), pieceId: PieceId, lineId: LineId }),
  z.object({
    do: z.literal('pin'),
    pieceId: PieceId,
    pins: z.number().int().min(1).max(40),
    away: Mm.default(12),
    lineId: LineId.optional().describe('where they stand, if not about the line the piece covers')
  }),
  z.object({ do: z.literal('unpin') }),
  z.object({ do: z.literal('align-holes'), pieceId: PieceId }),
  // Where the design stands on a thing that was bought finished.
  z.object({ do: z.literal('mark-middle'), pieceId: PieceId }),
  z.object({
    do: z.literal('fuse'),
    pieceId: PieceId,
    lineId: LineId.optional().describe('along this line only')
  }),
  z.object({
    do: z.literal('back-cloth'),
    pieceIds: z.array(PieceId).min(1).describe('pieces that get their interfacing or web before the start')
  }),
  z.object({ do: z.literal('press'), from: z.enum(['front', 'back']).default('front') }),
  z.object({
    do: z.literal('press-folds'),
    pieceId: PieceId,
    alsoIds: z.array(PieceId).optional().describe('pieces folded alike'),
    fold: Mm
  }),
  z.object({ do: z.literal('flip'), pieceId: PieceId, lineId: LineId, covers: LineId.optional() }),
  z.object({
    do: z.literal('trim'),
    pieceIds: z.array(PieceId).min(1),
    lineId: LineId,
    side: z.enum(['outside', 'inside']),
    margin: Mm,
    keepIds: KeepIds
  }),
  z.object({
    do: z.literal('cut-away-behind'),
    pieceIds: z.array(PieceId).min(1),
    lineId: LineId,
    from: z.enum(['front', 'back']).default('back').describe('the side one works from'),
    keepIds: KeepIds
  }),
  z.object({ do: z.literal('cut-through'), pieceIds: z.array(PieceId).min(1), lineId: LineId }),
  z.object({ do: z.literal('patch-hole'), pieceId: PieceId, lineId: LineId }),
  z.object({ do: z.literal('zip'), pieceId: PieceId, to: z.enum(['open', 'closed', 'three-quarters']) }),
  z.object({ do: z.literal('topping-on'), pieceId: PieceId }),
  z.object({ do: z.literal('topping-off'), pieceId: PieceId }),
  z.object({ do: z.literal('thread'), threadId: ThreadId }),
  z.object({ do: z.literal('bobbin'), threadId: ThreadId.optional() }),
  z.object({ do: z.literal('wind-bobbin'), threadId: ThreadId.optional() }),
  z.object({ do: z.literal('needle'), needle: z.string().min(1).max(60) }),
  z.object({
    do: z.literal('speed'),
    spm: z
      .number()
      .int()
      .min(50)
      .max(1500)
      .nullable()
      .describe('until the next such step; null for what the machine is set to'),
    firstPass: z.boolean().optional().describe('for the first pass of the next stop only')
  }),
  z.object({ do: z.literal('trace') }),
  z.object({ do: z.literal('load-file'), fileId: z.string().min(1) }),
  z.object({ do: z.literal('one-colour'), stops: z.number().int().min(2).max(1000) }),
  z.object({
    do: z.literal('set-up'),
    turned: z.boolean().optional().describe('the design is turned a quarter at the machine')
  }),
  z.object({
    do: z.literal('insert-run'),
    fileName: z.string().min(1).max(200),
    pieceId: PieceId.optional().describe('the piece whose surface it is stitched on'),
    threadId: ThreadId.optional(),
    lineId: LineId.optional().describe('the field it keeps inside'),
    stitches: z.number().int().min(0).max(200_000).default(0)
  }),
  z.object({
    do: z.literal('baste'),
    lineId: LineId,
    stitches: z.number().int().min(0).max(20_000).default(0)
  }),
  z.object({
    do: z.literal('snip'),
    side: z.enum(['front', 'back', 'both']),
    jumps: z.number().int().min(0).max(500)
  }),
  z.object({ do: z.literal('inspect') }),
  z.object({ do: z.literal('check-under') }),
  z.object({ do: z.literal('tear-away') }),
  z.object({ do: z.literal('rinse') }),
  z.object({ do: z.literal('wait'), why: z.enum(WAITS) }),
  z.object({ do: z.literal('fray-fluid'), lineId: LineId }),
  z.object({ do: z.literal('heat-adhesive'), pieceId: PieceId }),
  z.object({ do: z.literal('cut-roughly'), lineId: LineId, alsoLineIds: AlsoLineIds, margin: Mm }),
  z.object({ do: z.literal('cut-out'), lineId: LineId, alsoLineIds: AlsoLineIds, margin: Mm }),
  z.object({ do: z.literal('clip'), lineId: LineId }),
  z.object({
    do: z.literal('turn-through'),
    lineId: LineId.optional().describe('the closing seam whose opening it goes through'),
    pieceId: PieceId.optional().describe('the zip it goes through')
  }),
  z.object({ do: z.literal('close-opening'), lineId: LineId, by: z.enum(['hand', 'machine', 'tape']) }),
  z.object({ do: z.literal('join-parts'), loops: z.number().int().min(1).max(200) }),
  z.object({
    do: z.literal('sew-up'),
    how: z.enum(SEW_UPS),
    parts: z.array(z.string().trim().min(1).max(60)).max(12).describe('what the maker calls the parts'),
    by: z.enum(['machine', 'hand', 'tape']).default('machine'),
    long: Mm.default(0).describe('how long the seam is'),
    seam: Mm.default(0).describe('seam allowance'),
    open: Mm.default(0).describe('left open in it')
  }),
  z.object({ do: z.literal('punch'), holes: z.number().int().min(1).max(100) }),
  z.object({ do: z.literal('hardware'), kind: z.enum(HARDWARE), count: z.number().int().min(1).max(100) }),
  z.object({
    do: z.literal('other'),
    title: z.string().min(1).max(120),
    seconds: z.number().min(0).max(86400)
  }),
  // Work that was asked for and cannot be done where it was put: it keeps its place and says why.
  z.object({
    do: z.literal('left-out'),
    what: z.string().min(1).max(120),
    why: z.string().max(500),
    repair: z.string().max(300)
  })
]);
export type Operation = z.infer<typeof Operation>;
export type OperationKind = Operation['do'];

/** One kind of operation, with its arguments. */
export type OperationOf<K extends OperationKind> = Extract<Operation, { do: K }>;
