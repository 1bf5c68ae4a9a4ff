import type { Piece } from './piece';
import type { Item, Line, Stop, Thread } from './schema';

/** A stop of any of the item’s files. */
export function findStop(item: Item, stopId: string): Stop | undefined {
  for (const file of item.files) {
    const stop = file.stops.find((candidate) => candidate.id === stopId);
    if (stop) return stop;
  }
  return undefined;
}

export function findPiece(item: Item, pieceId: string): Piece | undefined {
  return item.pieces.find((piece) => piece.id === pieceId);
}

export function findLine(item: Item, lineId: string): Line | undefined {
  return item.lines.find((line) => line.id === lineId);
}

export function findThread(item: Item, threadId: string): Thread | undefined {
  return item.threads.find((thread) => thread.id === threadId);
}

/** All stitches of a stop, its phases together. */
export function stitchesOf(stop: Stop): number {
  return stop.phases.reduce((sum, phase) => sum + phase.stitches, 0);
}

/**
 * A name as it is compared with others: threads, cloths and notions are the same thing however they are written.
 *
 * @example
 * comparedName(' Signal  White ') // 'signal white'
 */
export function comparedName(name: string): string {
  return name.trim().replace(/\s+/g, ' ').toLowerCase();
}
