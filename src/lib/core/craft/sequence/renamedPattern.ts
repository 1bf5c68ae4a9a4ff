import { type Line, renamedIn } from '$lib/core/documents/item';
import type { ExpectedStop, Pattern, PatternEntry, Truth } from './pattern';

/** What things of a pattern are called instead. */
export interface PatternNames {
  /** Of a stop its key, of a hand step its id. */
  step: (id: string) => string;
  piece: (id: string) => string;
  line: (id: string) => string;
}

/**
 * A pattern whose steps, pieces and lines are called otherwise, wherever they are named.
 *
 * @example
 * renamedPattern(tab, { step: (id) => `a-${id}`, piece: (id) => id, line: (id) => id }).entries[0] // { id: 'a-hoop', … }
 */
export function renamedPattern(pattern: Pattern, names: PatternNames): Pattern {
  const { step, piece, line } = names;
  const stop = ({ threadOf, sharesRowOf, again, ...own }: ExpectedStop): ExpectedStop => ({
    ...own,
    key: step(own.key),
    lineIds: own.lineIds.map(line),
    between: own.between.map((entry) => entryIn(entry, names)),
    ...(threadOf !== undefined && { threadOf: step(threadOf) }),
    ...(sharesRowOf !== undefined && { sharesRowOf: step(sharesRowOf) }),
    ...(again !== undefined && { again: step(again) })
  });
  return {
    ...pattern,
    hoopings: pattern.hoopings.map((hooping) => ({ ...hooping, hooped: hooping.hooped.map(piece) })),
    lines: pattern.lines.map((own): Line => ({ ...own, id: line(own.id) })),
    pieces: pattern.pieces.map(({ covers, from, ...own }) => ({
      ...own,
      id: piece(own.id),
      covers: covers === null ? null : line(covers),
      ...(from !== undefined && { from: piece(from) })
    })),
    expected: pattern.expected.map(stop),
    entries: pattern.entries.map((entry) => entryIn(entry, names)),
    threads: Object.fromEntries(Object.entries(pattern.threads).map(([key, own]) => [step(key), own])),
    truths: pattern.truths.map((truth) => truthIn(truth, names))
  };
}

function entryIn(entry: PatternEntry, { step, piece, line }: PatternNames): PatternEntry {
  const needs = entry.needs?.map(step);
  if (entry.kind === 'stop') return { ...entry, key: step(entry.key), ...(needs && { needs }) };
  const op = renamedIn(entry.op, (kind, id) => {
    if (kind === 'piece') return piece(id);
    return kind === 'line' ? line(id) : threadIn(id, step);
  });
  return { ...entry, id: step(entry.id), op, ...(needs && { needs }) };
}

/** A thread is named by the stop it is of. @example threadIn('stop:edge', (id) => `a-${id}`) // 'stop:a-edge' */
function threadIn(id: string, step: PatternNames['step']): string {
  const [, of, key] = /^(stop|thread):(.+)$/.exec(id) ?? [];
  return of !== undefined && key !== undefined && key !== 'this' ? `${of}:${step(key)}` : id;
}

function truthIn(truth: Truth, { step, piece }: PatternNames): Truth {
  if ('steps' in truth) return { ...truth, steps: truth.steps.map(step) };
  return 'step' in truth ? { ...truth, step: step(truth.step) } : { ...truth, pieceId: piece(truth.pieceId) };
}
