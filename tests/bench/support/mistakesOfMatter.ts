/** Changes of what an item is made of: materials, openings, hoops, threads. */
import type { Truth } from '$lib/core/craft/sequence';
import { editStep, editStop, type Item, type MaterialKind } from '$lib/core/documents/item';
import { benchShop, type Case } from './intact';
import { hands, naming, stopOf, type Change, type Make } from './mistakes';

/** Wrong, light and metal material. */
export function materials({ item, pattern }: Case, change: Make): Change[] {
  const withPiece = (id: string, more: object, kind?: MaterialKind): Item => ({
    ...item,
    pieces: item.pieces.map((piece) =>
      piece.id === id
        ? { ...piece, ...more, material: { ...piece.material, kind: kind ?? piece.material.kind } }
        : piece
    )
  });
  return item.pieces.flatMap((piece): Change[] => {
    const truth = pattern.truths.find(
      (each): each is Extract<Truth, { kind: 'stabiliser' }> =>
        each.kind === 'stabiliser' && each.pieceId === piece.id
    );
    const steps = naming(item, piece.id);
    const carries = hands(item, 'hoop').some(({ op }) => op.pieceIds[0] === piece.id);
    const small = withPiece(piece.id, { overrides: { width: 60, height: 60 } });
    return [
      ...(piece.use === 'hooped' && piece.covers === null
        ? [change('not caught by the ring', piece.id, small, steps, true)]
        : []),
      ...(carries
        ? (['tear-away', 'cutaway', 'wash-away-mesh'] as const)
            .filter((kind) => kind !== piece.material.kind)
            .map((kind) =>
              change(
                'wrong stabiliser',
                `${piece.id} in ${kind}`,
                withPiece(piece.id, {}, kind),
                steps,
                truth !== undefined && !truth.kinds.includes(kind)
              )
            )
        : []),
      ...(carries && piece.plies > 1
        ? [
            change(
              'light stabiliser',
              piece.id,
              withPiece(piece.id, { plies: 1 }),
              steps,
              truth !== undefined && truth.plies > 1
            )
          ]
        : []),
      ...(piece.material.kind === 'zip'
        ? [change('metal zip', piece.id, withPiece(piece.id, {}, 'metal-zip'), steps, true)]
        : [])
    ];
  });
}

/** Openings, zips and hoops. */
export function shapes({ item, setup, pattern }: Case, change: Make): Change[] {
  const using = (lineId: string): string[] =>
    item.steps
      .filter((step) => step.kind === 'stop' && stopOf(item, step)?.lineIds.includes(lineId))
      .map(({ id }) => id);
  const turned = new Set(hands(item, 'turn-through').map(({ op }) => op.lineId));
  const openings = item.lines.flatMap((line) => {
    if (!turned.has(line.id)) return [];
    const withGaps = (gaps: typeof line.gaps): Item => ({
      ...item,
      lines: item.lines.map((each) => (each.id === line.id ? { ...each, gaps } : each))
    });
    return [
      change('opening too small', line.id, withGaps([{ from: 10, to: 50 }]), using(line.id), true),
      change('no opening', line.id, withGaps([]), using(line.id), true)
    ];
  });
  const zips = hands(item, 'zip').map((step) =>
    change(
      'zip closed',
      step.id,
      editStep(item, step.id, { op: { ...step.op, to: 'closed' } }),
      [step.id],
      true
    )
  );
  const { size } = pattern.variant;
  const stops = item.steps.filter(({ kind }) => kind === 'stop').map(({ id }) => id);
  const hoops = benchShop.hoops
    .filter(({ id }) => id !== setup.hoopId)
    .map((hoop) =>
      change(
        'other hoop',
        hoop.id,
        item,
        stops,
        size.width > hoop.field.width || size.height > hoop.field.height,
        {
          setup: { ...setup, hoopId: hoop.id }
        }
      )
    );
  return [...openings, ...zips, ...hoops];
}

/** Threads and bobbins that do not match. */
export function colours({ item, pattern }: Case, change: Make, ids: (key: string) => string[]): Change[] {
  const other = { id: 'thread-other', name: 'Another', colour: '#12ab34' };
  const added = { ...item, threads: [...item.threads, other] };
  const shared = pattern.truths.flatMap((truth) => {
    if (truth.kind !== 'one-colour') return [];
    const steps = truth.steps.flatMap(ids);
    const [first] = steps.flatMap((id) => item.steps.find((step) => step.id === id) ?? []);
    if (first?.kind !== 'stop') return [];
    return [
      change(
        'two colours on one line',
        first.id,
        editStop(added, first.stopId, { threadId: other.id }),
        steps,
        true
      )
    ];
  });
  const bobbins = hands(item, 'bobbin').flatMap((step) =>
    step.op.threadId === undefined
      ? []
      : [
          change(
            'mismatched bobbin',
            step.id,
            editStep(added, step.id, { op: { ...step.op, threadId: other.id } }),
            [step.id],
            pattern.truths.some((truth) => truth.kind === 'must' && truth.step === step.id)
          )
        ]
  );
  return [...shared, ...bobbins];
}
