<script lang="ts">
  import { type BatchInput, sayTime } from '$lib/core/ordering/day';
  import { type Spread } from '$lib/core/ordering/promise';
  import { Promising } from '$lib/workers';
  import { onDestroy } from 'svelte';

  /** When the order can be promised, the chance of its date, and what would raise it. */
  let { input, spread, from }: { input: BatchInput; spread: Spread; from: string } = $props();

  const promising = new Promising();
  $effect(() => promising.follow({ input, spread }));
  onDestroy(() => promising.stop());
  const promised = $derived(promising.answer);
  const percent = (share: number): string => `${Math.round(share * 100)} %`;
</script>

<section class="mt-4 border-t-[1.5px] border-ink pt-3" aria-label="What can be promised">
  <h2 class="text-xl">What you can promise</h2>
  {#if promised}
    <dl class="mt-2 flex flex-wrap gap-x-10 gap-y-2">
      {#each [['one time in two', promised.half], ['four times in five', promised.fourInFive], ['nineteen in twenty', promised.nineteenInTwenty]] as const as [words, at] (words)}
        <div>
          <dt class="text-soft">{words}</dt>
          <dd class="head text-xl">{sayTime(from, at)}</dd>
        </div>
      {/each}
      {#if promised.chance !== null}<div>
          <dt class="text-soft">in time</dt>
          <dd
            class="head text-xl {promised.chance < 0.5
              ? 'text-hands'
              : promised.chance < 0.8
                ? 'text-warn'
                : 'text-needle'}"
          >
            {percent(promised.chance)}
          </dd>
        </div>{/if}
    </dl>
    {#if promised.raises.length > 0}
      <p class="mt-3 font-bold">What would bring it forward, each re-planned and tried again</p>
      <ul>
        {#each promised.raises as { words, chance, fourInFive } (words)}
          <li class="flex flex-wrap gap-x-4 border-b border-rule py-1.5">
            <span class="mr-auto">{words}</span>
            <span class="text-soft"
              >{promised.chance === null ? '' : `${percent(chance)} in time, `}{sayTime(from, fourInFive)} four
              times in five</span
            >
          </li>
        {/each}
      </ul>
    {/if}
  {:else}<p class="mt-2 text-soft" role="status">
      {promising.failed
        ? `The trials stopped before their end. ${promising.failed}`
        : 'Trying the plan a thousand times over, with what may happen.'}
    </p>{/if}
</section>
