<script lang="ts">
  import { page } from '$app/state';
  import { formatSize } from '$lib/core/base/units';
  import { hoopWords, wordsIn } from '$lib/core/craft/operations';
  import { getShop, live } from '$lib/data';
  import EndPicture from '$lib/ui/picture/EndPicture.svelte';
  import HoopView from '$lib/ui/hoop/HoopView.svelte';
  import { hoopScene } from '$lib/ui/hoop/scene';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { ribbonSteps } from '$lib/core/making/summary';
  import LayersView from '$lib/ui/stack/LayersView.svelte';
  import Player from '$lib/ui/steps/Player.svelte';
  import { cautionsSaid } from '$lib/ui/steps/words';
  import Why from '$lib/ui/steps/Why.svelte';
  import StepRow from '$lib/ui/steps/StepRow.svelte';
  import { Hand } from '@lucide/svelte';
  import { tick } from 'svelte';
  import { example } from '../example';
  import { CONSTRUCTIONS, withOwn } from '$lib/core/craft/constructions';

  const shop = live(() => null, getShop);
  const construction = $derived(
    withOwn(CONSTRUCTIONS, shop.value?.patterns ?? []).find(({ kind }) => kind === page.params.kind)
  );
  const shown = $derived(shop.value && construction && example(construction, shop.value));
  const plan = $derived(shown?.plan);

  let at = $state(0);
  /** Until a step is chosen, the finished item is shown. */
  let isNew = $state(true);
  /** The last step at which all of it lies in the ring. */
  const fullest = $derived(
    shown?.trace.findLast(({ state }) => state.hoop.where === 'on' || state.hoop.where === 'off')
  );
  let list = $state<HTMLOListElement>();
  const step = $derived(plan?.steps[at]);
  const own = $derived(
    plan?.steps.slice(0, at + 1).findLast(({ itemStepId }) => itemStepId !== null)?.itemStepId
  );
  const stack = $derived.by(() => {
    const found = shown?.trace.find(({ stepId }) => stepId === own);
    return found && (own === step?.itemStepId ? found : { ...found, changed: [], problem: null });
  });
  const scene = $derived(shown && plan && step && hoopScene(shown.item, plan, step, shown.trace));
  const words = $derived(
    wordsIn((plan?.steps ?? []).map(({ title, detail }) => `${title} ${detail}`).join(' '))
  );
  const cautions = $derived([...new Set((plan?.steps ?? []).flatMap(({ caution }) => caution ?? []))]);

  const careful = $derived(cautionsSaid(plan?.steps ?? []));

  async function show(next: number): Promise<void> {
    isNew = false;
    at = next;
    await tick();
    // The list scrolls, never the page: what is drawn stays in view.
    const row = list?.querySelector<HTMLElement>('[aria-current="step"]');
    if (list && row) list.scrollTop = row.offsetTop - list.offsetTop - list.clientHeight / 2;
  }
</script>

<svelte:head><title>{construction?.name ?? 'Guide'} · Jolt Step</title></svelte:head>

{#if construction && shown && plan && step}
  <div class="flex flex-col">
    <header class="flex flex-wrap items-baseline gap-x-4">
      <h1 class="text-3xl">{construction.name}</h1>
      <p class="text-soft">finished {formatSize(plan.finished, plan.unit)}, as an example</p>
      <a class="ml-auto flex min-h-11 items-center underline" href="/guide">All constructions</a>
    </header>
    <div class="flex items-center gap-4">
      <p class="flex-1 text-lg leading-snug">{construction.summary}</p>
      <Player count={plan.steps.length} {at} onshow={(next) => void show(next)} />
    </div>
    <div class="mt-2">
      <Ribbon
        steps={ribbonSteps(plan.steps)}
        label="{construction.name}, step by step"
        selected={step.id}
        onselect={(id) => void show(plan.steps.findIndex((each) => each.id === id))}
      />
    </div>
    <div class="mt-2 grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-6 max-[1100px]:grid-cols-1">
      <ol
        bind:this={list}
        class="sticky top-4 max-h-[calc(100vh-3rem)] self-start overflow-y-auto border-t-[1.5px] border-ink max-[1100px]:static max-[1100px]:max-h-96"
        aria-label="Steps"
      >
        {#each plan.steps as each, index (each.id)}
          <li>
            <StepRow
              step={each}
              careful={careful.has(each.id)}
              selected={index === at}
              onselect={() => void show(index)}
            />
          </li>
        {/each}
      </ol>
      <div class="flex min-w-0 flex-col gap-3 max-[1100px]:order-first">
        {#if isNew}
          <section class="rounded-md border-[1.5px] border-ink bg-sheet p-4" aria-label="As it ends">
            <h2 class="text-xl">As it ends</h2>
            <div class="mt-2">
              <EndPicture item={shown.item} trace={shown.trace} unit={plan.unit} height="14rem" />
            </div>
            {#if fullest}
              <h2 class="mt-4 text-xl">What lies on what, before it leaves the hoop</h2>
              <LayersView item={shown.item} stack={fullest} ring={plan.hoop.ring} width={320} />
            {/if}
            <button type="button" class="button button-main mt-4" onclick={() => void show(0)}
              >Step by step</button
            >
          </section>
        {:else}
          <article class="rounded-md border-[1.5px] border-ink bg-sheet p-4" aria-live="polite">
            <p class="text-[0.9375rem] font-bold text-soft">{hoopWords(step.hoop)}</p>
            <h2 class="text-2xl">{step.title}</h2>
            <p class="text-lg leading-snug">{step.detail}</p>
            {#if step.note}<p class="italic">{step.note}</p>{/if}
            <Why item={shown.item} trace={shown.trace} stepId={step.itemStepId} />
            <div class="mt-3 grid grid-cols-[minmax(0,0.75fr)_minmax(0,1.6fr)] gap-5">
              {#if scene}<div class="max-h-64 min-h-44">
                  <HoopView
                    {scene}
                    unit={plan.unit}
                    words="The hoop from above{scene.turned ? ', turned over' : ''}. {step.title}."
                  />
                </div>{/if}
              {#if stack}<div class="min-w-0">
                  <LayersView item={shown.item} {stack} ring={plan.hoop.ring} />
                </div>{/if}
            </div>
          </article>
        {/if}
        <section aria-label="Cautions">
          {#each cautions as caution (caution)}
            <p class="flex items-start gap-2 text-warn">
              <Hand size={18} class="mt-1 shrink-0" aria-hidden="true" />{caution}
            </p>
          {/each}
          <p class="mt-1 text-sm text-soft">Local rules on safety, labelling and flammability come first.</p>
        </section>
        <dl aria-label="Words">
          {#each words as { word, meaning } (word)}
            <div class="flex gap-3 border-t border-rule py-1">
              <dt class="w-32 shrink-0 font-bold">{word}</dt>
              <dd class="leading-snug">{meaning}</dd>
            </div>
          {/each}
        </dl>
      </div>
    </div>
  </div>
{:else if shop.value}
  <h1 class="text-3xl">There is no such construction.</h1>
  <a href="/guide" class="button mt-6">To the guide</a>
{/if}
