import { found } from '$lib/core/craft/findings';
import { addHandStep, type Item } from '$lib/core/documents/item';
import type { Check } from './finding';

/** An item that ends with the hoop on the machine, or with the work in the ring. */
export const unhooped: Check = ({ item, trace }) => {
  const last = trace.at(-1);
  if (!last || !item.steps.some(({ kind }) => kind === 'stop')) return [];
  const { where } = last.state.hoop;
  if (where === 'unhooped' || where === 'empty') return [];
  const onMachine = where !== 'off';
  const ended = (before: Item): Item => {
    const off = onMachine ? addHandStep(before, last.stepId, 'off-at-end', { do: 'hoop-off' }) : before;
    return addHandStep(off, off.steps.at(-1)?.id ?? last.stepId, 'unhoop-at-end', { do: 'unhoop' });
  };
  return [
    {
      ...found('order/never-unhooped', last.stepId, { onMachine }),
      fix: { label: 'Take it out at the end', apply: ended }
    }
  ];
};
