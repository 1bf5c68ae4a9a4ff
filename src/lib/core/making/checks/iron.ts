import { fusedBy } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { addHandStep, editStep, findPiece, type HandStep, type Item } from '$lib/core/documents/item';
import type { Layer } from '$lib/core/craft/stack';
import { type Check, type CheckContext, type Finding, handed, type Handed } from './finding';

type Ironing = Handed<'press' | 'fuse' | 'heat-adhesive' | 'lay'>;

/** The iron: on the face of vinyl, on bare adhesive, on the machine, and before a piece has been trimmed. */
export const iron: Check = (context) => {
  const irons = handed(context, 'press', 'fuse', 'heat-adhesive', 'lay').filter(
    ({ op }) => op.do === 'press' || fusedBy(op) !== null
  );
  return irons.flatMap((each): Finding[] => [
    ...onVinyl(context, each),
    ...onAdhesive(context, each),
    ...onMachine(each),
    ...beforeTrim(context, each)
  ]);
};

function onVinyl({ item }: CheckContext, { op, step, after }: Ironing): Finding[] {
  const { layers } = after.state;
  const touched =
    op.do === 'press' && op.from === 'back'
      ? layers[0]
      : op.do === 'heat-adhesive'
        ? layers.find(({ material }) => material.kind === 'vinyl')
        : layers.at(-1);
  const named = 'pieceId' in op ? findPiece(item, op.pieceId) : undefined;
  const vinyl =
    touched?.material.kind === 'vinyl'
      ? touched.name
      : named?.material.kind === 'vinyl'
        ? named.name
        : undefined;
  return vinyl === undefined ? [] : [found('iron/vinyl', step.id, { vinyl })];
}

/** A piece with adhesive on its wrong side that lies wrong side up and open: the iron would meet the glue. */
function onAdhesive({ item }: CheckContext, { op, step, after }: Ironing): Finding[] {
  if (op.do === 'heat-adhesive' || (op.do === 'press' && op.from === 'back')) return [];
  const top = after.state.layers.at(-1);
  if (!top || top.face !== 'down' || !hasAdhesive(item, top)) return [];
  const fix =
    op.do === 'lay'
      ? {
          fix: {
            label: 'Hold it by hand',
            apply: (before: Item) =>
              editStep(before, step.id, { op: { ...op, hold: { by: 'hand' as const } } })
          }
        }
      : {};
  return [{ ...found('iron/adhesive', step.id, { piece: top.name }, top.pieceId), ...fix }];
}

function hasAdhesive(item: Item, { pieceId }: Layer): boolean {
  const backed = findPiece(item, pieceId)?.backed?.some(({ kind }) => kind === 'fusible') ?? false;
  return backed || item.steps.some((step) => step.kind === 'hand' && fusedBy(step.op) === pieceId);
}

function onMachine({ step, before }: Ironing): Finding[] {
  const { where } = before.hoop;
  if (where !== 'on' && where !== 'forward') return [];
  return [
    {
      ...found('iron/on-machine', step.id, {}),
      fix: { label: 'Take the hoop off for it', apply: (item) => offAndOn(item, step) }
    }
  ];
}

/** The hoop comes off before a step and goes on after it. */
function offAndOn(item: Item, { id }: HandStep): Item {
  const at = item.steps.findIndex((step) => step.id === id);
  const off = addHandStep(item, item.steps[at - 1]?.id ?? null, `off-for-${id}`, { do: 'hoop-off' });
  return addHandStep(off, id, `on-after-${id}`, { do: 'hoop-on' });
}

/** A rough piece that is fused all over and trimmed only later: its waste no longer lifts. */
function beforeTrim({ item }: CheckContext, { op, step, at }: Ironing): Finding[] {
  if (op.do === 'press' || op.do === 'heat-adhesive' || (op.do === 'fuse' && op.lineId !== undefined))
    return [];
  const piece = findPiece(item, op.pieceId);
  const trimmed = item.steps
    .slice(at + 1)
    .some(
      (later) => later.kind === 'hand' && later.op.do === 'trim' && later.op.pieceIds.includes(op.pieceId)
    );
  if (!piece || piece.shape === 'pre-cut' || !trimmed) return [];
  return [found('iron/before-trim', step.id, { piece: piece.name }, piece.id)];
}
