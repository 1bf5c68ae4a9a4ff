<script lang="ts">
  import { formatLength, formatSize, type LengthUnit, otherUnit } from '$lib/core/base/units';
  import type { SizePart } from '$lib/core/documents/plan';
  import type { Demand, MaterialPlan } from '$lib/core/preparing/cutting';

  /** What is cut, by material, with a reason for every millimetre. */
  interface Props {
    plans: readonly MaterialPlan[];
    unit: LengthUnit;
    /** Several items are cut together, so pieces are said with their item. */
    several: boolean;
    letter: (key: string) => string;
    onown: (demand: Demand) => void;
  }
  let { plans, unit, several, letter, onown }: Props = $props();

  const WORDS: Record<SizePart['what'], string> = {
    covers: 'covers',
    margin: 'margin, both sides',
    seam: 'over the seam',
    fold: 'folded',
    'taken-up': 'taken up',
    shrinkage: 'lost in the wash',
    rounding: 'to the ruler’s mark',
    own: 'as you set it'
  };
  const signed = (mm: number): string => `${mm < 0 ? '−' : '+'}${formatLength(Math.abs(mm), unit)}`;
  const partOf = ({ what, width, height }: SizePart): string =>
    what === 'covers'
      ? formatSize({ width, height }, unit)
      : `${width === 0 ? '' : `${signed(width)} wide`}${width !== 0 && height !== 0 ? ', ' : ''}${height === 0 ? '' : `${signed(height)} high`}`;
</script>

{#each plans as { id, material, demands, remarks } (id)}
  {#if demands.length > 0}
    <section class="mb-3">
      <h3 class="flex items-center gap-2 text-lg">
        <span class="inline-block size-4 border-[1.5px] border-ink" style:background={material.colour}></span>
        {material.name}
      </h3>
      <ul>
        {#each demands as demand (demand.key)}
          <li class="border-b border-rule py-1.5">
            <details>
              <summary class="flex cursor-pointer items-baseline gap-2">
                <span class="head w-8 text-right text-xl">{demand.count}</span><span class="text-soft">×</span
                >
                <span class="flex-1"
                  >{demand.name} <span class="head text-soft">{letter(demand.key)}</span>{#if several}<span
                      class="block text-sm text-soft">{demand.itemName}</span
                    >{/if}</span
                >
                <span class="head text-lg whitespace-nowrap" title={formatSize(demand.cut, otherUnit(unit))}
                  >{formatSize(demand.cut, unit)}</span
                >
              </summary>
              <dl class="mt-1 ml-8 grid grid-cols-[1fr_auto] gap-x-3 text-sm">
                {#each demand.parts as part (part.what)}
                  <dt class="text-soft">
                    {part.what === 'covers' ? `covers ${demand.coversName.toLowerCase()}` : WORDS[part.what]}
                  </dt>
                  <dd class="text-right">{partOf(part)}</dd>
                {/each}
              </dl>
              <button
                type="button"
                class="button button-quiet no-print ml-4 text-sm"
                onclick={() => onown(demand)}>Cut it otherwise</button
              >
            </details>
          </li>
        {/each}
      </ul>
      {#each remarks as remark (remark)}<p class="mt-1 text-sm text-warn">{remark}</p>{/each}
    </section>
  {/if}
{/each}
