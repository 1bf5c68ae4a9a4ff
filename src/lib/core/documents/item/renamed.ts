import { z } from 'zod';
import { Operation } from './operation';

/** What an operation can name. */
export type ReferenceKind = 'piece' | 'line' | 'thread';

/** Gives a name anew; `place` is where it stands in the operation. */
export type Rename = (kind: ReferenceKind, id: string, place: string) => string;

/**
 * An operation with whatever it names given anew. What it refers to stands in its schema, at any depth, so every kind of
 * operation is looked at alike.
 *
 * @example
 * renamedIn({ do: 'tape', pieceId: 'back', strips: 4 }, (_, id) => `second-${id}`) // { do: 'tape', pieceId: 'second-back', strips: 4 }
 */
export function renamedIn(op: Operation, rename: Rename): Operation {
  const schema = Operation.options.find((option) => option.shape.do.value === op.do);
  // Only names change, each into a name.
  return schema ? (renamedValue(schema, op, '', rename) as Operation) : op;
}

/**
 * What an operation names.
 *
 * @example
 * namesIn({ do: 'tape', pieceId: 'back', strips: 4 }) // [{ kind: 'piece', id: 'back' }]
 */
export function namesIn(op: Operation): { kind: ReferenceKind; id: string }[] {
  const names: { kind: ReferenceKind; id: string }[] = [];
  renamedIn(op, (kind, id) => {
    names.push({ kind, id });
    return id;
  });
  return names;
}

function renamedValue(schema: z.core.$ZodType, value: unknown, place: string, rename: Rename): unknown {
  if (value === undefined || value === null) return value;
  const refers = z.globalRegistry.get(schema)?.refers;
  if (typeof value === 'string' && isReferred(refers)) return rename(refers, value, place);
  if (schema instanceof z.ZodOptional || schema instanceof z.ZodDefault || schema instanceof z.ZodNullable)
    return renamedValue(schema.unwrap(), value, place, rename);
  const within = (key: string): string => (place === '' ? key : `${place}.${key}`);
  if (schema instanceof z.ZodArray && Array.isArray(value))
    return value.map((each, at) => renamedValue(schema.element, each, within(String(at)), rename));
  if (schema instanceof z.ZodObject && typeof value === 'object') {
    const parts: Record<string, z.core.$ZodType> = schema.shape;
    return Object.fromEntries(
      Object.entries(value).map(([key, own]) => {
        const part = parts[key];
        return [key, part ? renamedValue(part, own, within(key), rename) : own];
      })
    );
  }
  return value;
}

function isReferred(refers: unknown): refers is ReferenceKind {
  return refers === 'piece' || refers === 'line' || refers === 'thread';
}
