import { inside } from '$lib/core/craft/findings';
import type { Item } from '$lib/core/documents/item';
import type { Finding } from './finding';

/** Values that only tell where a finding shows; findings that differ in these alone have one cause. */
const WHERE: readonly string[] = ['called', 'stop', 'step'];

/**
 * Findings with one cause, said once: at the first step that shows it, with the other stops named. Their fixes are one fix.
 *
 * @example
 * together([bare3, bare4])[0]?.text // 'Stop 3 would run on bare stabiliser: … The same holds for stop 4.'
 */
export function together(findings: readonly Finding[]): Finding[] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    const cause = Object.entries(finding.values).filter(([key]) => !WHERE.includes(key));
    const key = JSON.stringify([finding.code, finding.severity, finding.about, cause]);
    const group = groups.get(key) ?? [];
    // The same thing is said once, however many seams show it.
    if (!group.some(({ stepId, text }) => stepId === finding.stepId && text === finding.text))
      group.push(finding);
    groups.set(key, group);
  }
  return [...groups.values()].flatMap((group) => {
    const [first, ...others] = group;
    const elsewhere = [...new Set(others.flatMap((finding) => placeOf(finding) ?? []))];
    // What has no place of its own to name is said for itself.
    if (!first || elsewhere.length < others.length) return group;
    return others.length === 0 ? [first] : [asOne(first, others, elsewhere)];
  });
}

function asOne(first: Finding, others: Finding[], elsewhere: string[]): Finding {
  const fixes = [first, ...others].flatMap(({ fix }) => fix ?? []);
  const named = new Intl.ListFormat('en-GB').format(elsewhere);
  return {
    ...first,
    text: `${first.text} The same holds for ${named}.`,
    also: others.flatMap(({ stepId }) => stepId ?? []),
    ...(fixes.length > 0 && {
      fix: {
        ...fixes[0],
        label: fixes[0]?.label ?? '',
        apply: (item: Item): Item => fixes.reduce((now, { apply }) => apply(now), item)
      }
    })
  };
}

/** How another step of the same cause is named. */
function placeOf({ values }: Finding): string | null {
  if (typeof values.called === 'string') return inside(values.called);
  if (typeof values.stop === 'number') return `stop ${values.stop}`;
  return typeof values.step === 'string' ? `“${values.step}”` : null;
}
