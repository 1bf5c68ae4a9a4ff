import {
  addHandStep,
  editStep,
  editStop,
  type Item,
  moveStepAfter,
  type Operation,
  type Piece,
  removeStep,
  type StopChange
} from '$lib/core/documents/item';

/** A change of an item, as a maker might make it by mistake. */
export type Mistake = (item: Item) => Item;

/** The operation of a hand step, some of it otherwise. */
export const op =
  (stepId: string, change: object): Mistake =>
  (item) => {
    const step = item.steps.find(({ id }) => id === stepId);
    if (step?.kind !== 'hand') throw new Error(`There is no hand step ${stepId}.`);
    return editStep(item, stepId, { op: { ...step.op, ...change } as Operation });
  };

export const gone =
  (stepId: string): Mistake =>
  (item) =>
    removeStep(item, stepId);

/** A step put behind another. */
export const moved =
  (stepId: string, after: string): Mistake =>
  (item) =>
    moveStepAfter(item, stepId, after);

export const added =
  (after: string, operation: Operation): Mistake =>
  (item) =>
    addHandStep(item, after, 'added', operation);

export const piece =
  (id: string, change: Partial<Piece>): Mistake =>
  (item) => ({
    ...item,
    pieces: item.pieces.map((each) => (each.id === id ? { ...each, ...change } : each))
  });

/** A piece in another kind of material. */
export const kind =
  (id: string, materialKind: Piece['material']['kind']): Mistake =>
  (item) => ({
    ...item,
    pieces: item.pieces.map((each) =>
      each.id === id ? { ...each, material: { ...each.material, kind: materialKind } } : each
    )
  });

export const stop =
  (id: string, change: StopChange): Mistake =>
  (item) =>
    editStop(item, id, change);

/** Openings of a line, mm along it. */
export const gaps =
  (lineId: string, ...openings: { from: number; to: number }[]): Mistake =>
  (item) => ({
    ...item,
    lines: item.lines.map((line) => (line.id === lineId ? { ...line, gaps: openings } : line))
  });

/** Satin as wide as said, mm. */
export const satin =
  (stopId: string, width: number): Mistake =>
  (item) => ({
    ...item,
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((each) =>
        each.id === stopId ? { ...each, phases: each.phases.map((phase) => ({ ...phase, width })) } : each
      )
    }))
  });

/** One mistake after another. */
export const both =
  (...mistakes: Mistake[]): Mistake =>
  (item) =>
    mistakes.reduce((changed, mistake) => mistake(changed), item);
