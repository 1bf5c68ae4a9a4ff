import { formatMinutes, formatSize, formatThread } from '$lib/core/base/units';
import type { Item } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { Drill } from './drill';

/** Wrong answers are so many times the right one: far enough that a feeling tells them apart. */
const TIMES = [0.45, 1.8, 3] as const;

/** How long, how much: hands, needle, bobbin and cloth of the plan, among figures that are far off. */
export function timeDrills(item: Item, plan: Plan, random: () => number): Drill[] {
  const bobbin = plan.steps.reduce((sum, { stop }) => sum + (stop?.bobbinMetres ?? 0), 0);
  const [largest] = plan.cuts.toSorted((a, b) => b.cut.width * b.cut.height - a.cut.width * a.cut.height);
  const asked: { about: string; question: string; value: number; words: (value: number) => string }[] = [
    {
      about: 'hands',
      question: 'How long are your hands at work on one of these?',
      value: plan.totals.hands.value,
      words: formatMinutes
    },
    {
      about: 'needle',
      question: 'How long does the needle run on one of these?',
      value: plan.totals.needle.value,
      words: formatMinutes
    },
    {
      about: 'bobbin',
      question: 'How much does one of these take from the bobbin?',
      value: bobbin,
      words: (metres) => formatThread(metres, plan.unit)
    },
    ...(largest
      ? [
          {
            about: 'cloth',
            question: `How large is ${largest.name} cut?`,
            value: largest.cut.width,
            words: (width: number): string =>
              formatSize({ width, height: largest.cut.height * (width / largest.cut.width) }, plan.unit)
          }
        ]
      : [])
  ];
  return asked
    .filter(({ value }) => value > 0)
    .map(({ about, question, value, words }): Drill => {
      const choices = [1, ...TIMES].map((times) => ({
        id: times === 1 ? 'right' : `times-${times}`,
        words: words(value * times)
      }));
      return {
        id: `${item.id}/time/${about}`,
        skill: 'time',
        itemId: item.id,
        itemName: item.name,
        question,
        choices: choices.toSorted(() => random() - 0.5),
        answer: 'right',
        why: `The plan says ${words(value)}.`,
        shown: item,
        until: null
      };
    })
    .filter(({ choices }) => new Set(choices.map(({ words }) => words)).size === choices.length);
}
