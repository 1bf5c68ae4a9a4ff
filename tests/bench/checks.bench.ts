/**
 * What the checks catch: every construction intact, and with every kind of mistake made from its operations. A change
 * is a mistake only where it breaks what the construction declares; `--list` names every mistake that is missed.
 */
import type { Item } from '$lib/core/documents/item';
import type { Setup } from '$lib/core/documents/shop';
import { type Finding, review } from '$lib/core/making/checks';
import { benchShop, intactCases } from './support/intact';
import { changesOf, needing, type Change } from './support/mistakes';
import { seeded } from './support/random';
import { randomItems } from './support/randomBlocks';

const list = process.argv.includes('--list');
const found = (item: Item, setup: Setup): Finding[] =>
  review(item, setup, benchShop).checked.open.filter(({ severity }) => severity !== 'note');
const keyOf = ({ code, stepId, text }: Finding): string => `${code} ${stepId ?? ''} ${text}`;

/** So many items of blocks nobody chose; every tenth is given mistakes too. */
const DRAWN = 300;
const drawn = randomItems(DRAWN, seeded(17));
const cases = [...intactCases(), ...drawn];
const alarms = cases.flatMap((each) =>
  found(each.item, each.setup).map((finding) => `${each.what}: ${finding.text}`)
);
alarms.forEach((alarm) => console.log(`false alarm: ${alarm}`));
console.log(`${cases.length} intact items, ${alarms.length} false alarms`);

const tally = new Map<string, { mistakes: number; caught: number; harmless: number; flagged: number }>();
let byTraceAlone = 0;
for (const base of cases.filter(
  (each) =>
    /(as it stands|school .*|placements all-first), single$/.test(each.what) || drawn.indexOf(each) % 10 === 0
)) {
  const depends = needing(base.item);
  const known = new Map<string, Set<string>>();
  for (const change of changesOf(base)) {
    const setup = `${change.setup.machineId} ${base.setup.hoopId}`;
    let before = known.get(setup);
    if (!before)
      known.set(
        setup,
        (before = new Set(found(base.item, { ...change.setup, hoopId: base.setup.hoopId }).map(keyOf)))
      );
    const fresh = found(change.item, change.setup).filter((finding) => !before.has(keyOf(finding)));
    const here = fresh.filter((finding) => isHere(finding, change, depends));
    const row = tally.get(change.kind) ?? { mistakes: 0, caught: 0, harmless: 0, flagged: 0 };
    tally.set(change.kind, row);
    if (change.mistake) {
      row.mistakes++;
      if (here.length > 0) row.caught++;
      else if (list) console.log(`missed: ${change.kind}: ${base.what}: ${change.what}`, fresh.map(keyOf));
      if (here.some(({ code }) => !code.startsWith('order/'))) byTraceAlone++;
    } else {
      row.harmless++;
      if (fresh.length > 0) row.flagged++;
      if (fresh.length > 0 && list)
        console.log(`flagged: ${change.kind}: ${base.what}: ${change.what}`, fresh.map(keyOf));
    }
  }
}

/** At the changed step or one that depends on it; where a step is gone, the item as a whole is the place too. */
function isHere(
  { stepId }: Finding,
  { steps, gone }: Change,
  depends: (step: string, other: string) => boolean
): boolean {
  if (stepId === null) return gone;
  return steps.includes(stepId) || steps.some((step) => depends(stepId, step));
}

for (const [kind, { mistakes, caught, harmless, flagged }] of [...tally].sort(([a], [b]) =>
  a.localeCompare(b)
))
  console.log(`${kind}: ${caught} of ${mistakes} caught; ${flagged} of ${harmless} harmless ones flagged`);
const sum = (key: 'mistakes' | 'caught' | 'harmless' | 'flagged'): number =>
  [...tally.values()].reduce((total, row) => total + row[key], 0);
console.log(`caught without the declared needs of the steps: ${byTraceAlone} of ${sum('mistakes')}`);
console.log(
  JSON.stringify({
    intact: cases.length,
    drawn: drawn.length,
    falseAlarms: alarms.length,
    mistakes: sum('mistakes'),
    caught: sum('caught'),
    caughtRatio: Number((sum('caught') / sum('mistakes')).toFixed(4)),
    harmless: sum('harmless'),
    harmlessFlagged: sum('flagged')
  })
);
