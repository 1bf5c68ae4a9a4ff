import { constructionOf } from '$lib/core/craft/constructions';
import { defaultShop } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { type RibbonStep, ribbonSteps } from '$lib/core/making/summary';
import { assemble } from '$lib/core/reading/matching';

let made: RibbonStep[] | undefined;

/** A plain tab, planned as any other item, to show an empty workroom what a ribbon says. */
export function exampleRibbon(): RibbonStep[] {
  if (made) return made;
  const pattern = constructionOf('snap-tab')?.patternOf({});
  if (!pattern?.ok) throw new Error('The plain tab has no pattern.');
  const about = { id: 'example', name: 'Snap tab', now: new Date(0).toISOString(), construction: 'snap-tab' };
  const item = assemble(pattern.pattern, { ...about, params: pattern.params });
  made = ribbonSteps(plan(item, undefined, defaultShop('example')).steps);
  return made;
}
