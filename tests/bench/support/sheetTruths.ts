import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { findStop, type Item, type Operation } from '$lib/core/documents/item';
import { assemble } from '$lib/core/reading/matching';
import { defaultShop } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { pick, seeded } from './random';
import { type Wanted, wordingOf } from './sheetWordings';

/** A sheet written from an item, with what it asks for. */
export interface WrittenSheet {
  kind: string;
  item: Item;
  text: string;
  actions: (Wanted & { after: number })[];
  stops: number;
}

const TIPS = [
  'Take your time here.',
  'It looks odd at this point; that is as it should be.',
  'A sharp needle makes this easier.',
  'Nothing can be seen of it later.',
  'This is the part most people like best.'
];
const NUMBERINGS: ((at: number) => string)[] = [
  (at) => `${at}. `,
  (at) => `${at}) `,
  (at) => `Step ${at}: `,
  (at) => `No. ${at} `,
  (at) => `A${at} `,
  (at) => `Step ${at}\n`,
  () => '- ',
  () => '• '
];

/**
 * Sheets from items of all constructions: each operation in one of its wordings, several in a sentence or a sentence each,
 * tips between, the steps numbered in one of many ways, a list of pieces with sizes before them.
 */
export function writtenSheets(seed: number): WrittenSheet[] {
  return CONSTRUCTIONS.flatMap((construction, at): WrittenSheet[] => {
    const made = construction.patternOf(construction.defaults);
    if (!made.ok || construction.kind === 'own') return [];
    const item = assemble(made.pattern, {
      id: construction.kind,
      name: construction.name,
      now: '2026-11-27T10:00:00.000Z',
      construction: construction.kind,
      params: made.params
    });
    return [written(construction.kind, item, seeded(seed * 1000 + at))];
  });
}

function written(kind: string, item: Item, random: () => number): WrittenSheet {
  const sentences: string[][] = [[]];
  const actions: WrittenSheet['actions'] = [];
  let [after, over] = [0, false];
  const part = (words: string): void => {
    const last = sentences.at(-1);
    // A new sentence, or one more thing in the one before.
    if (last && last.length > 0 && last.length < 3 && random() < 0.3) last.push(words);
    else sentences.push([words]);
  };
  for (const step of item.steps) {
    if (step.kind === 'stop') {
      const stop = findStop(item, step.stopId);
      after += 1;
      sentences.push([
        pick(random, [
          `Sew stop ${after}`,
          `Stitch stop ${after}`,
          `Run stop ${after}`,
          'Stitch the next stop',
          `Sew stop ${after}, the ${stop?.name.toLowerCase() ?? 'next'}`,
          `Stop ${after}: ${stop?.name.toLowerCase() ?? ''}`
        ])
      ]);
      sentences.push([]);
      continue;
    }
    const said = wordingOf(step.op, item, over, random);
    if (said) {
      part(said.words);
      actions.push(...said.wanted.map((wanted) => ({ ...wanted, after })));
    }
    over = overAfter(over, step.op);
  }
  const lines = sentences
    .filter((parts) => parts.length > 0)
    .map((parts) => {
      const [first = '', ...rest] = parts;
      const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);
      const joined = rest.reduce(
        (text, words) => `${text}${pick(random, [', then ', ' and ', '; '])}${lower(words)}`,
        first
      );
      return `${joined}.${random() < 0.1 ? ` ${pick(random, TIPS)}` : ''}`;
    });
  const steps: string[] = [];
  for (const line of lines) {
    if (steps.length > 0 && random() < 0.25) steps[steps.length - 1] += ` ${line}`;
    else steps.push(line);
  }
  const number = pick(random, NUMBERINGS);
  const cuts = new Map(planned(item).map(({ pieceId, cut }) => [pieceId, cut]));
  const pieces = item.pieces.flatMap(({ id, name, material }) => {
    const cut = cuts.get(id);
    const size = cut && `${Math.round(cut.width)} x ${Math.round(cut.height)} mm`;
    return size ? [`${name.toLowerCase()} (${material.name.toLowerCase()}), ${size}`] : [];
  });
  return {
    kind,
    item,
    text: [
      item.name,
      '',
      'You need',
      ...pieces.map((line) => `1 ${line}`),
      '',
      ...steps.map((text, at) => number(at + 1) + text)
    ].join('\n'),
    actions,
    stops: after
  };
}

const shop = defaultShop('sheets');
const planned = (item: Item): ReturnType<typeof plan>['cuts'] => plan(item, undefined, shop).cuts;

function overAfter(over: boolean, op: Operation): boolean {
  if (op.do === 'turn-over') return !over;
  return op.do === 'hoop' || op.do === 'unhoop' ? false : over;
}
