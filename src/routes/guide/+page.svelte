<script lang="ts">
  import { report } from '../report';
  import { formatMinutes } from '$lib/core/base/units';
  import { appearance, sketchOf } from '$lib/core/making/appearance';
  import { bringInDemo, getItem, getShop, live } from '$lib/data';
  import ItemPicture from '$lib/ui/picture/ItemPicture.svelte';
  import { goto } from '$app/navigation';
  import { TOUR, tour } from '../tour.svelte';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { ribbonSteps } from '$lib/core/making/summary';
  import { example } from './example';
  import OwnPatterns from './OwnPatterns.svelte';
  import { CONSTRUCTIONS, withOwn } from '$lib/core/craft/constructions';

  const shop = live(() => null, getShop);
  const shown = $derived(
    withOwn(CONSTRUCTIONS, shop.value?.patterns ?? []).map((construction) => ({
      construction,
      made: shop.value && example(construction, shop.value)
    }))
  );

  /** The first visit goes through an item of the demo stall, which is brought in where it is not there. */
  async function beginTour(): Promise<void> {
    try {
      if (!(await getItem('badger-tab'))) await bringInDemo();
      tour.go(0);
      await goto(TOUR[0]?.path ?? '/items');
    } catch (error) {
      report(error, 'The demo could not be brought in.');
    }
  }
</script>

<svelte:head><title>Guide · Jolt Step</title></svelte:head>

<h1 class="text-3xl">Guide</h1>
<p class="mt-1 max-w-3xl text-lg text-soft">
  Each way of building an item, step by step: what lies in the hoop, why it lies that way up, and what comes
  out.
</p>
<div class="mt-3 flex flex-wrap gap-3">
  <button type="button" class="button button-main" onclick={() => void beginTour()}
    >Five minutes round one item</button
  >
  <a class="button" href="/practice">Practise</a>
  <a class="button" href="/trouble">What went wrong?</a>
  <a class="button" href="/guide/words">Words of the craft</a>
</div>

<ul class="mt-4 grid grid-cols-2 gap-x-8 gap-y-3 max-[1000px]:grid-cols-1">
  {#each shown as { construction, made } (construction.kind)}
    {@const plan = made?.plan}
    {@const end = made?.trace.at(-1)?.state}
    <li class="flex gap-4 border-t-[1.5px] border-ink pt-2">
      <div class="h-24 w-24 shrink-0">
        {#if made && end}<ItemPicture
            look={sketchOf(appearance(end, made.item))}
            name={construction.name}
          />{/if}
      </div>
      <div class="min-w-0 flex-1">
        <div class="flex flex-wrap items-baseline gap-x-4">
          <h2 class="text-xl">
            <a class="hover:underline" href="/guide/{construction.kind}">{construction.name}</a>
          </h2>
          {#if plan}<p class="ml-auto text-sm whitespace-nowrap text-soft">
              hands {formatMinutes(plan.totals.hands.value)} · needle {formatMinutes(
                plan.totals.needle.value
              )}
            </p>{/if}
        </div>
        <p class="min-h-12 leading-snug text-soft">{construction.summary}</p>
        {#if plan}<Ribbon
            steps={ribbonSteps(plan.steps)}
            label="{construction.name}, step by step"
            small
          />{/if}
      </div>
    </li>
  {/each}
</ul>

<OwnPatterns patterns={shop.value?.patterns ?? []} />
