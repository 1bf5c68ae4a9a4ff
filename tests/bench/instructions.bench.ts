/**
 * Instruction sheets: by a grammar (every construction, each operation in one of at least six wordings, several in a sentence,
 * tips, eight numberings), and those that the reader’s author did not write. `sameEnd` is the share of items that come out of the
 * simulation as the true one does: the same pieces on the same faces, right side or wrong. With `--list` what went wrong is printed.
 */
import { defaultShop } from '$lib/core/documents/shop';
import { isStabiliserKind, isTwoSided, type Item } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import { interpret } from '$lib/core/making/interpret';
import { outside } from '$lib/core/craft/stack';
import { linesOfText } from '$lib/core/reading/pages';
import { readChart } from '$lib/core/reading/papers';
import { readSheet, type SheetAction } from '$lib/core/reading/sheets';
import { readSharedSheet, type SheetTruth, sharedSheets } from './support/sharedSheets';
import { writtenSheets } from './support/sheetTruths';

const SEEDS = [11, 12, 13];
const list = process.argv.includes('--list');
const share = (part: number, whole: number): number => Number((part / Math.max(1, whole)).toFixed(4));
const shop = defaultShop('bench');
const sum = {
  wanted: 0,
  found: 0,
  read: 0,
  extra: 0,
  pieces: 0,
  pieceRight: 0,
  faces: 0,
  faceRight: 0,
  items: 0,
  same: 0
};

type Wanted = {
  after: number;
  action: string;
  actionAlso?: string[];
  piece: string | null;
  face: 'up' | 'down' | null;
  optional?: boolean;
};

/** Counts the actions of one sheet against its truth: each found once, in the order of the sheet. */
function count(name: string, wanted: readonly Wanted[], read: readonly SheetAction[]): void {
  const open = [...read];
  for (const each of wanted) {
    const fits = (action: SheetAction): boolean =>
      action.after === each.after &&
      // A ribbon is put in by laying it.
      ((action.action === 'insert-ribbon' ? 'lay' : action.action) === each.action ||
        action.action === each.action ||
        each.actionAlso?.includes(action.action) === true);
    const at = open.findIndex(
      (action) => fits(action) && (action.piece === each.piece || each.piece === null)
    );
    const [found] = open.splice(at >= 0 ? at : open.findIndex(fits), at >= 0 || open.some(fits) ? 1 : 0);
    if (each.optional && !found) continue;
    sum.wanted++;
    if (!found) {
      if (list) console.log(`  ${name}: missed ${each.after} ${each.action} ${each.piece ?? ''}`);
      continue;
    }
    sum.found++;
    if (each.piece !== null) {
      sum.pieces++;
      if (found.piece === each.piece) sum.pieceRight++;
      else if (list)
        console.log(
          `  ${name}: ${each.action} of ${each.piece} read as of ${found.piece ?? 'nothing'} (${found.text})`
        );
    }
    if (each.face !== null) {
      sum.faces++;
      if (found.face === each.face) sum.faceRight++;
      else if (list)
        console.log(`  ${name}: face ${each.face} read as ${found.face ?? 'none'} (${found.text})`);
    }
  }
  sum.read += read.length;
  // Tape that comes off several pieces is one thing asked for.
  const asked = new Set(wanted.filter(({ action }) => action === 'untape').map(({ after }) => after));
  sum.extra += open.filter(
    ({ optional, action, after }) => !optional && !(action === 'untape' && asked.has(after))
  ).length;
  if (list)
    for (const { action, text, piece } of open)
      console.log(`  ${name}: invented ${action} ${piece ?? ''} (${text})`);
}

/** The faces of an item as it ends, in words. */
function endOf(item: Item): string {
  const last = review(item, undefined, shop).trace.at(-1)?.state;
  if (!last) return '';
  const seen = outside(last, item);
  return (['front', 'back'] as const)
    .map((side) =>
      seen[side]
        .filter(({ layer }) => !isStabiliserKind(layer.material.kind))
        .map(
          ({ layer, rightSide }) =>
            `${layer.name.toLowerCase()} ${rightSide || isTwoSided(layer.material.kind)}`
        )
        .sort()
        .join('+')
    )
    .join(' | ');
}

for (const seed of SEEDS)
  for (const { kind, item, text, actions } of writtenSheets(seed)) {
    const sheet = readSheet(linesOfText(text.split('\n')), item.name);
    count(`${kind} ${seed}`, actions, sheet.actions);
    const size = item.variants[0]?.size ?? null;
    const made = interpret(
      { id: 'x', name: item.name, now: item.createdAt, sheet, rows: [], size, text },
      shop
    );
    sum.items++;
    const [end, wanted] = [endOf(made.item), endOf(item)];
    if (end === wanted) sum.same++;
    else if (list) console.log(`  ${kind} ${seed}: ends ${end}, not ${wanted}`);
  }
const grammar = { ...sum };
const sharedCount = { wanted: sum.wanted, found: sum.found };
for (const [file, truth] of sharedSheets()) {
  const { sheet } = await readSharedSheet(file);
  if (sheet) count(file, truth.actions as SheetTruth['actions'], sheet.actions);
}
const none = readChart(
  'Dear maker,\n1. Thank you for the tabs.\n2. They sold well.\n3. See you on Friday.'
).sheet;
console.log(
  `grammar: ${grammar.found} of ${grammar.wanted} actions; shared: ${sum.found - sharedCount.found} of ${sum.wanted - sharedCount.wanted}; a letter gives ${none ? 'a sheet' : 'none'}`
);
console.log(
  JSON.stringify({
    actions: sum.wanted,
    recall: share(sum.found, sum.wanted),
    precision: share(sum.read - sum.extra, sum.read),
    faces: share(sum.faceRight, sum.faces),
    pieces: share(sum.pieceRight, sum.pieces),
    sameEnd: share(sum.same, sum.items)
  })
);
