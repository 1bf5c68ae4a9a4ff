import type { Material, MaterialKind } from '$lib/core/documents/item';
import { colourOf } from '$lib/core/reading/evidence';
import type { SheetReading } from '$lib/core/reading/sheets';

type SheetPiece = SheetReading['pieces'][number];

/** Words of a sheet and the kind of material they mean; the telling ones first. */
const KINDS: [words: RegExp, kind: MaterialKind, colour: string][] = [
  [/\bsticky\b/, 'sticky-wash-away', '#f3f0ea'],
  [/\b(?:wash-?away|water-?soluble)\b.*\b(?:film|topp)|\btopping\b|\bfilm\b/, 'wash-away-film', '#eef4f6'],
  [/\b(?:wash-?away|water-?soluble|soluble|organza)\b/, 'wash-away-mesh', '#f3f0ea'],
  [/\b(?:soft mesh|poly ?mesh|no-show)\b/, 'soft-mesh', '#f3f0ea'],
  [/\bcut-?away\b/, 'cutaway', '#f3f0ea'],
  [/\b(?:tear-?away|stabili[sz]er|backing paper)\b/, 'tear-away', '#efece4'],
  [/\bmetal zip/, 'metal-zip', '#2c2a28'],
  [/\bzip(?:per)?s?\b/, 'zip', '#2c2a28'],
  [/\b(?:batting|wadding|fusible fleece|foam)\b/, 'batting', '#f6f2e8'],
  [/\bfusible web\b/, 'fusible', '#f6f2e8'],
  [/\binterfacing\b(?!,)/, 'interfacing', '#f6f2e8'],
  [/\bfelt\b/, 'felt', '#7c8a6a'],
  [/\b(?:vinyl|leather|faux|cork)\b/, 'vinyl', '#7a5a3c'],
  [/\b(?:towell?ing|terry|towel)\b/, 'towelling', '#e8e2d4'],
  [/\bfleece\b/, 'fleece', '#cfc6b4'],
  [/\b(?:mesh|netting|tulle)\b/, 'stretch-mesh', '#d8d8d8'],
  [/\b(?:canvas|denim)\b/, 'canvas', '#b9a888'],
  [/\b(?:knit|jersey)\b/, 'knit', '#b5b9c4']
];
/** Cloths of which only that they are cloth is known, told apart on the sheet. */
const CLOTHS = ['#4d7148', '#8d2f35', '#d9bd8b', '#3d5a80', '#7d6b91', '#b4693a'];

/**
 * What a piece of a sheet is made of, from its name and what the list says of it; cotton where nothing is said.
 *
 * @param at its place among the pieces, so that two cloths look different
 *
 * @example
 * materialOf({ name: 'A', material: 'felt, outer cover', … }, 0).kind // 'felt'
 */
export function materialOf({ name, material, role }: SheetPiece, at: number): Material {
  const said = `${name} ${material ?? ''}`.toLowerCase();
  // "cotton, interfaced" is cotton.
  const found = KINDS.find(([words]) => words.test(said.replace(/\binterfaced\b/, '')));
  // Mesh that is hooped is stabiliser, mesh that is laid is cloth.
  const isMesh =
    role === 'stabiliser' && found?.[1] === 'stretch-mesh' && !/\b(?:stretch|netting|tulle)\b/.test(said);
  const kind = isMesh
    ? 'soft-mesh'
    : (found?.[1] ?? (role === 'stabiliser' ? 'tear-away' : role === 'topping' ? 'wash-away-film' : 'woven'));
  const colour = colourOf(said) ?? found?.[2] ?? CLOTHS[at % CLOTHS.length] ?? '#4d7148';
  return { kind, name: (material ?? name).slice(0, 80), colour };
}
