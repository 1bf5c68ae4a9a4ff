import { ASK, length, number } from './fields';
import { CAUTION } from './cautions';
import { spent, holdTime } from './time';
import { faceTitle, line, name, names, say, tapeWords, writeLay } from './words';
import { pieceReady, holdReady } from './ready';
import type { TraitsOf } from './traits';

const pinWords = (pins: number): string => `${pins} ${pins === 1 ? 'pin' : 'pins'}`;

/** Pieces laid, held, pressed and folded. */
export const layingTraits = {
  lay: {
    label: 'Lay a piece',
    mark: 'lay',
    wording: writeLay,
    caution: ({ hold }) => (hold.by === 'spray' ? CAUTION.spray : hold.by === 'pins' ? CAUTION.pins : null),
    time: ({ hold }, timing) => [spent('lay'), ...holdTime(hold, timing)],
    waits: null,
    hoop: 'stays',
    stack: (op) => ({ does: 'lay', ...op }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: ({ pieceId, hold }, { piece }) => [piece(pieceId), ...holdReady(hold)],
    spoken: /\b(lay|place|put|position|cover|set)\b/,
    start: { side: 'above', face: 'up', over: 12, hold: { by: 'tape', strips: 4 } },
    fields: {
      pieceId: ASK.piece,
      side: ASK.side,
      face: ASK.face,
      covers: ASK.covers,
      over: length('Covers the line by'),
      edge: null,
      hold: ASK.hold
    }
  },
  float: {
    label: 'Float a piece',
    mark: 'lay',
    wording: (op, context) =>
      say(
        `Float ${name(op.pieceId, context)}${faceTitle(op.pieceId, op.face, context)}`,
        op.side === 'below'
          ? 'Slide it flat under the hoop; the ring does not clamp it.'
          : 'Lay it flat; the ring does not clamp it.'
      ),
    caution: null,
    time: 'lay',
    waits: null,
    hoop: 'stays',
    stack: (op) => ({ does: 'lay', ...op }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: pieceReady,
    spoken: /\b(float|slide)\b/,
    start: { side: 'below' },
    fields: { pieceId: ASK.piece, side: ASK.side, face: ASK.face }
  },
  lift: {
    label: 'Lift a piece out',
    mark: 'lay',
    wording: (op, context) =>
      say(
        `Lift ${name(op.pieceId, context)} out`,
        'Ease it off the stabiliser; the stabiliser stays in the ring.'
      ),
    caution: null,
    time: 'lay',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }) => ({ does: 'lift', pieceId }),
    order: 'work',
    wall: true,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece }
  },
  tape: {
    label: 'Tape',
    mark: 'hold',
    wording: (op, context) => say(`Tape ${name(op.pieceId, context)}`, tapeWords(op.strips)),
    caution: null,
    time: ({ strips }, timing) => holdTime({ by: 'tape', strips }, timing),
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId, strips }) => ({ does: 'hold', pieceId, by: { by: 'tape', strips } }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\btape\b/,
    start: { strips: 4 },
    fields: { pieceId: ASK.piece, strips: ASK.strips }
  },
  untape: {
    label: 'Take tape off',
    mark: 'hold',
    wording: (op, context) =>
      say(
        `Take the tape off${op.pieceIds ? ` ${names(op.pieceIds, context)}` : ''}`,
        `${op.strips} strips. Pull along the stitching, not across it.`
      ),
    caution: null,
    time: ({ strips }) => [spent('untapeStrip', strips)],
    waits: null,
    hoop: 'stays',
    stack: ({ pieceIds }) => ({ does: 'release', held: 'tape', pieceIds }),
    order: 'free',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\b(untape|remove .*tape)\b/,
    start: { strips: 4 },
    fields: { strips: ASK.strips, pieceIds: null }
  },
  spray: {
    label: 'Spray',
    mark: 'hold',
    wording: (op, context) =>
      say(`Spray ${name(op.pieceId, context)}`, 'Lightly, on its wrong side, away from the machine.'),
    caution: CAUTION.spray,
    time: 'spray',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }) => ({ does: 'hold', pieceId, by: { by: 'spray' }, early: true }),
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece }
  },
  glue: {
    label: 'Glue inside a line',
    mark: 'hold',
    wording: (op, context) =>
      say(
        `Glue inside the ${line(op.lineId, context)}`,
        `For ${name(op.pieceId, context)}. Keep the glue off the stitching line.`
      ),
    caution: null,
    time: 'glue',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }) => ({ does: 'hold', pieceId, by: { by: 'glue' }, early: true }),
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece, lineId: ASK.line }
  },
  pin: {
    label: 'Pin',
    mark: 'hold',
    wording: (op, context) =>
      op.lineId === undefined
        ? say(`Pin ${name(op.pieceId, context)}`, `${pinWords(op.pins)}, outside the stitching.`)
        : say(
            `Stand ${op.pins === 1 ? 'a pin' : pinWords(op.pins)} in the ${line(op.lineId, context)}`,
            `Up through ${name(op.pieceId, context)}, so that what comes next finds its place.`
          ),
    caution: CAUTION.pins,
    time: 'pin',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId, pins, away, lineId }) => ({
      does: 'hold',
      pieceId,
      by: { by: 'pins', pins, away },
      lineId
    }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { pins: 4 },
    fields: {
      pieceId: ASK.piece,
      pins: number('Pins'),
      away: length('Away from the stitching'),
      lineId: ASK.line
    }
  },
  unpin: {
    label: 'Take pins out',
    mark: 'hold',
    wording: () => say('Take every pin out', 'Count them.'),
    caution: null,
    time: 'pin',
    waits: null,
    hoop: 'stays',
    stack: () => ({ does: 'release', held: 'pins' }),
    order: 'free',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: {}
  },
  'align-holes': {
    label: 'Take hard parts out and align the holes',
    mark: 'look',
    wording: (op, context) =>
      say(
        `Take every hard part out of ${name(op.pieceId, context)}`,
        'Then line up the holes of all its layers.'
      ),
    caution: null,
    time: 'alignHoles',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'free',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece }
  },
  flip: {
    label: 'Flip at a seam',
    mark: 'fold',
    wording: (op, context) =>
      say(
        `Flip ${name(op.pieceId, context)}`,
        `Fold it over at the ${line(op.lineId, context)} and finger-press along the seam.`
      ),
    caution: null,
    time: 'flip',
    waits: null,
    hoop: 'stays',
    stack: (op) => ({ does: 'flip', ...op }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\b(flip|fold)\b/,
    start: {},
    fields: { pieceId: ASK.piece, lineId: ASK.line, covers: ASK.covers }
  }
} satisfies TraitsOf<
  'lay' | 'float' | 'lift' | 'tape' | 'untape' | 'spray' | 'glue' | 'pin' | 'unpin' | 'align-holes' | 'flip'
>;
