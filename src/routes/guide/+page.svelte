<script lang="ts">
  import { formatMinutes } from '$lib/core/base/units';
  import { GLOSSARY } from '$lib/core/craft/operations';
  import { getShop, live } from '$lib/data';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { ribbonSteps } from '$lib/core/making/summary';
  import { example } from './example';
  import OwnPatterns from './OwnPatterns.svelte';
  import { CONSTRUCTIONS, withOwn } from '$lib/core/craft/constructions';

  const shop = live(() => null, getShop);
  const shown = $derived(
    withOwn(CONSTRUCTIONS, shop.value?.patterns ?? []).map((construction) => ({
      construction,
      plan: shop.value && example(construction, shop.value)?.plan
    }))
  );
</script>

<svelte:head><title>Guide · Jolt Step</title></svelte:head>

<h1 class="text-3xl">Guide</h1>
<p class="mt-1 max-w-3xl text-lg text-soft">
  Each way of building an item, step by step: what lies in the hoop, why it lies that way up, and what comes
  out.
</p>

<ul class="mt-4 grid grid-cols-2 gap-x-8 gap-y-3 max-[1000px]:grid-cols-1">
  {#each shown as { construction, plan } (construction.kind)}
    <li class="border-t-[1.5px] border-ink pt-2">
      <div class="flex items-baseline gap-4">
        <h2 class="text-xl">
          <a class="hover:underline" href="/guide/{construction.kind}">{construction.name}</a>
        </h2>
        {#if plan}<p class="ml-auto text-sm whitespace-nowrap text-soft">
            hands {formatMinutes(plan.totals.hands.value)} · needle {formatMinutes(plan.totals.needle.value)}
          </p>{/if}
      </div>
      <p class="min-h-12 leading-snug text-soft">{construction.summary}</p>
      {#if plan}<Ribbon
          steps={ribbonSteps(plan.steps)}
          label="{construction.name}, step by step"
          small
        />{/if}
    </li>
  {/each}
</ul>

<OwnPatterns patterns={shop.value?.patterns ?? []} />

<h2 class="mt-8 text-2xl">Words</h2>
<dl class="mt-2 grid grid-cols-2 gap-x-8 max-[1000px]:grid-cols-1">
  {#each GLOSSARY as { word, meaning } (word)}
    <div class="flex gap-3 border-t border-rule py-1.5">
      <dt class="w-36 shrink-0 font-bold">{word}</dt>
      <dd class="leading-snug">{meaning}</dd>
    </div>
  {/each}
</dl>
