import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import type { Question } from '$lib/core/craft/sequence';
import { type Item, stitchesOf } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import { expect } from 'chai';
import { makeItem } from './support/badger';
import { roomyShop } from './support/ends';
import { sheetWords } from './support/sheetWords';

/** The chart a designer would write of an item: a row for each stop that is stitched, with its number in its file. */
function chartOf(item: Item): string {
  const stitched = new Set(item.steps.flatMap((step) => (step.kind === 'stop' ? step.stopId : [])));
  return item.files
    .flatMap(({ stops }) =>
      stops.flatMap((stop, at) => {
        if (!stitched.has(stop.id)) return [];
        const thread = item.threads.find(({ id }) => id === stop.threadId)?.name ?? 'white';
        return [stop.number ?? at + 1, stop.name, thread, stitchesOf(stop)].join('\t');
      })
    )
    .join('\n');
}

/** Answers that change how many there are, or which way it is done. */
const othersOf = (question: Question, usual: unknown): unknown[] =>
  question.kind === 'number'
    ? [1, 2, 3, 4].filter((count) => count !== usual)
    : question.kind === 'choice'
      ? question.options.flatMap(({ value }) => (value === usual ? [] : value))
      : [];

const saidOf = (item: Item): string[] =>
  review(item, undefined, roomyShop).checked.open.flatMap(({ severity, code, text }) =>
    severity === 'note' ? [] : `${code}: ${text}`
  );
/** What is said where a file is loaded. */
const loads = (item: Item): string[] =>
  review(item, undefined, roomyShop).plan.steps.flatMap(({ title, detail }) =>
    title.startsWith('Load “') ? `${title} ${detail}` : []
  );
/** Which stop it is, whatever it is called, and which act of the hands. */
const workOf = (item: Item): string[] =>
  sheetWords(item).map((word) => word.replace(/^S (.*?)(?:,? colour \d+)?$/, 'S $1'));

describe('a chart of what is on the sheet', () => {
  for (const { kind, name, questions, defaults, patternOf } of CONSTRUCTIONS) {
    const all: [what: string, answers: Record<string, unknown>][] = [
      ['as it stands', {}],
      ...questions.flatMap((question) =>
        othersOf(question, defaults[question.key]).map((value): [string, Record<string, unknown>] => [
          `${question.key} ${String(value)}`,
          { [question.key]: value }
        ])
      )
    ];
    it(`${name}: makes the same sheet, and nothing is found on either`, () => {
      for (const [what, answers] of all) {
        if (!patternOf({ ...defaults, ...answers }).ok) continue;
        const plain = makeItem(kind, answers);
        const charted = makeItem(kind, answers, chartOf(plain));
        expect(workOf(charted), what).to.deep.equal(workOf(plain));
        expect([...saidOf(plain), ...saidOf(charted)], what).to.deep.equal([]);
        // What a file skips is skipped however its numbers are known.
        expect(loads(charted), what).to.deep.equal(loads(plain));
      }
    });
  }
  it('lace of which one segment is charted runs it for each, on fresh mesh, and nothing is found', () => {
    const item = makeItem('mesh-lace', { segments: 3 }, '1\tlace\tgreen\t19360');
    expect(workOf(item).filter((word) => /^(S|hoop) /.test(word))).to.deep.equal([
      'hoop base-1 mesh-1',
      'S Lace',
      'hoop base-2 mesh-2',
      'S Lace',
      'hoop base-3 mesh-3',
      'S Lace'
    ]);
    expect(saidOf(item)).to.deep.equal([]);
  });
});
