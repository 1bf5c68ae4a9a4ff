<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import { type Drill, SKILL_WORDS } from '$lib/core/running/drills';
  import { appearance } from '$lib/core/making/appearance';
  import { planAndTrace } from '$lib/core/making/plan';
  import { ribbonSteps } from '$lib/core/making/summary';
  import { getShop, live } from '$lib/data';
  import Pictures from '$lib/ui/picture/Pictures.svelte';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import LayersView from '$lib/ui/stack/LayersView.svelte';
  import { defaultSetup } from '$lib/core/documents/shop';

  /** One question with what lies in the hoop by then; a wrong answer plays forward to what it would have made. */
  interface Props {
    drill: Drill;
    unit: LengthUnit;
    onanswer: (right: boolean) => void;
    onnext: () => void;
  }
  let { drill, unit, onanswer, onnext }: Props = $props();

  const shop = live(() => null, getShop);
  let chosen = $state<string | null>(null);
  const right = $derived(chosen === drill.answer);
  const made = $derived(
    shop.value && planAndTrace(drill.shown, defaultSetup(drill.shown, shop.value), shop.value)
  );
  const stack = $derived(made?.trace.find(({ stepId }) => stepId === drill.until));
  const steps = $derived(made ? ribbonSteps(made.plan.steps) : []);
  const wrongEnd = $derived.by(() => {
    const item = drill.choices.find(({ id }) => id === chosen)?.leadsTo;
    if (!item || !shop.value) return null;
    const state = planAndTrace(item, defaultSetup(item, shop.value), shop.value).trace.at(-1)?.state;
    return state ? appearance(state, item) : null;
  });
  const rightEnd = $derived.by(() => {
    const state = made?.trace.at(-1)?.state;
    return state && made ? appearance(state, made.item) : null;
  });
  /** Seconds left to decide, where it is at the machine. */
  let passed = $state(0);
  const left = $derived(drill.seconds === undefined ? null : Math.max(0, drill.seconds - passed));
  $effect(() => {
    if (drill.seconds === undefined || chosen !== null) return;
    const clock = setInterval(() => {
      passed++;
      if (drill.seconds !== undefined && passed >= drill.seconds) choose(LATE);
    }, 1000);
    return () => clearInterval(clock);
  });
  const LATE = 'late';
  const comes = $derived(drill.choices.find(({ id }) => id === chosen)?.comes);
  function choose(id: string): void {
    if (chosen !== null) return;
    chosen = id;
    onanswer(id === drill.answer);
  }
</script>

<section class="mt-5" aria-label="A drill">
  <p class="text-soft">{SKILL_WORDS[drill.skill]} · {drill.itemName}</p>
  <h2 class="mt-1 max-w-4xl text-2xl leading-snug">{drill.question}</h2>
  {#if drill.skill !== 'time'}
    <div class="mt-3"><Ribbon {steps} label="{drill.itemName}, step by step" small /></div>
  {/if}
  <div class="mt-4 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1">
    <div>
      <ul class="flex flex-col gap-2">
        {#each drill.choices as { id, words } (id)}
          <li>
            <button
              type="button"
              class="min-h-14 w-full rounded-md border-2 px-4 py-2 text-left text-lg {chosen === null
                ? 'border-rule-strong hover:border-ink'
                : id === drill.answer
                  ? 'border-needle bg-needle-pale font-bold'
                  : id === chosen
                    ? 'border-hands bg-hands-pale'
                    : 'border-rule text-soft'}"
              aria-pressed={chosen === id}
              disabled={chosen !== null && chosen !== id}
              onclick={() => choose(id)}
              >{words}{chosen !== null && id === drill.answer ? ' — right' : ''}{chosen === id && !right
                ? ' — not this'
                : ''}</button
            >
          </li>
        {/each}
      </ul>
      {#if left !== null && chosen === null}<p
          class="head mt-3 text-2xl {left <= 10 ? 'text-hands' : 'text-soft'}"
          role="timer"
        >
          {left} s
        </p>{/if}
      {#if chosen === LATE}<p class="mt-3 text-lg font-bold text-hands">
          Too late: the machine stood, and nobody came.
        </p>{/if}
      {#if comes}<p class="mt-3 text-lg {right ? 'text-needle' : 'text-hands'}">{comes}</p>{/if}
      {#if chosen !== null}
        <p class="mt-4 border-l-4 px-4 py-2 text-lg {right ? 'border-needle' : 'border-hands'}" role="status">
          {drill.why}
        </p>
        <button type="button" class="button button-main mt-3" onclick={onnext}>The next one</button>
      {/if}
    </div>
    <div class="min-w-0">
      {#if chosen !== null && wrongEnd}
        <p class="font-bold">How it would end with your answer</p>
        <Pictures look={wrongEnd} name={drill.itemName} {unit} height="9rem" />
        {#if rightEnd && drill.skill !== 'mistake'}
          <p class="mt-3 font-bold">And so it should</p>
          <Pictures look={rightEnd} name={drill.itemName} {unit} height="9rem" />
        {/if}
      {:else if stack && made}
        <p class="text-soft">What lies in the hoop by then</p>
        <LayersView item={made.item} {stack} ring={made.plan.hoop.ring} width={300} />
      {:else if drill.skill === 'mistake' && rightEnd}
        <p class="text-soft">How it ends as it stands</p>
        <Pictures look={rightEnd} name={drill.itemName} {unit} height="10rem" telling={false} />
      {/if}
    </div>
  </div>
</section>
