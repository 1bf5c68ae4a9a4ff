import { findLine, findPiece, findStop, findThread } from './find';
import { type ReferenceKind, renamedIn } from './renamed';
import type { Operation } from './operation';
import type { Item } from './schema';

/** A name in the document that points at nothing. */
export interface BrokenReference {
  path: string;
  message: string;
}

/**
 * Every id in an item that names something the item does not have, and every id given twice. A schema
 * cannot see these, so reading a file checks both.
 *
 * @example
 * brokenReferences(item) // [{ path: 'steps.3.op.pieceId', message: 'names a piece “bakc” that the item does not have' }]
 */
export function brokenReferences(item: Item): BrokenReference[] {
  const found: BrokenReference[] = [];
  const need = (there: unknown, path: string, kind: string, id: string): void => {
    if (!there) found.push({ path, message: `names a ${kind} “${id}” that the item does not have` });
  };
  const unique = (rows: { id: string }[], path: string): void => {
    const seen = new Set<string>();
    rows.forEach(({ id }, at) => {
      if (seen.has(id)) found.push({ path: `${path}.${at}.id`, message: `repeats the id “${id}”` });
      seen.add(id);
    });
  };

  unique(item.steps, 'steps');
  unique(item.pieces, 'pieces');
  unique(item.lines, 'lines');
  unique(item.threads, 'threads');
  unique(
    item.files.flatMap((file) => file.stops),
    'files.stops'
  );

  item.files.forEach((file, f) =>
    file.stops.forEach((stop, s) => {
      need(findThread(item, stop.threadId), `files.${f}.stops.${s}.threadId`, 'thread', stop.threadId);
      stop.lineIds.forEach((id) => need(findLine(item, id), `files.${f}.stops.${s}.lineIds`, 'line', id));
    })
  );
  item.pieces.forEach((piece, at) => {
    if (piece.covers !== null)
      need(findLine(item, piece.covers), `pieces.${at}.covers`, 'line', piece.covers);
  });
  item.hoopings.forEach((hooping, at) =>
    hooping.hooped.forEach((id) => need(findPiece(item, id), `hoopings.${at}.hooped`, 'piece', id))
  );
  item.steps.forEach((step, at) => {
    const path = `steps.${at}`;
    need(
      item.hoopings.some(({ id }) => id === step.hoopingId),
      `${path}.hoopingId`,
      'hooping',
      step.hoopingId
    );
    if (step.kind === 'stop') need(findStop(item, step.stopId), `${path}.stopId`, 'stop', step.stopId);
    else checkOperation(item, step.op, `${path}.op`, need);
  });
  return found;
}

type Need = (there: unknown, path: string, kind: string, id: string) => void;

const FINDERS: Record<ReferenceKind, (item: Item, id: string) => unknown> = {
  piece: findPiece,
  line: findLine,
  thread: findThread
};

function checkOperation(item: Item, op: Operation, path: string, need: Need): void {
  renamedIn(op, (kind, id, place) => {
    need(FINDERS[kind](item, id), `${path}.${place}`, kind, id);
    return id;
  });
}
