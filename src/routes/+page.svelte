<script lang="ts">
  import { messageOf } from '$lib/core/base/problems';
  import { report } from './report';
  import { tour } from './tour.svelte';
  import { goto } from '$app/navigation';
  import { formatMinutes } from '$lib/core/base/units';
  import { foldRun, timesFrom } from '$lib/core/running/runs';
  import {
    bringInDemo,
    eventsOf,
    lastRun,
    live,
    openRuns,
    shelfRows,
    shortInStash,
    summariesOf
  } from '$lib/data';
  import ItemPicture from '$lib/ui/picture/ItemPicture.svelte';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { type RibbonStep, ribbonSteps } from '$lib/core/making/summary';
  import Times from '$lib/ui/Times.svelte';
  import { format, isToday } from 'date-fns';
  import { toast } from 'svelte-sonner';
  import NextForHands from './NextForHands.svelte';
  import BackupPanel from './BackupPanel.svelte';

  const shelved = live(
    () => null,
    async () => {
      const shelf = (await shelfRows()).filter(({ away }) => !away);
      const first = shelf.slice(0, 4);
      const cards = await summariesOf(first.map(({ id }) => id));
      return {
        count: shelf.length,
        first: first.map((row, at) => ({ ...row, made: cards[at]?.summary ?? null }))
      };
    }
  );
  const open = live(
    () => null,
    async () => {
      const runs = await openRuns();
      return Promise.all(
        runs.map(async (run) => {
          const state = foldRun(run.plan.steps, await eventsOf(run.id));
          return { run, state, step: run.plan.steps[state.at], left: timesFrom(run.plan, state.at) };
        })
      );
    }
  );
  const last = live(() => null, lastRun);
  const short = live(
    () => null,
    () => shortInStash(6)
  );
  /** What stands still, and until when: a wait, or a hooping set aside. */
  function standing({ state, step }: NonNullable<typeof open.value>[number]): string {
    if (state.phase === 'not-started') return 'not started yet';
    if (state.phase === 'set-aside') {
      const { stop, stitch } = state.bookmark ?? {};
      return `set aside${stop ? ` in stop ${stop}` : ''}${stitch === null || stitch === undefined ? '' : `, stitch ${stitch.toLocaleString('en')}`}`;
    }
    if (step && step.waiting.value > 0 && state.clockFrom !== null) {
      const until = state.clockFrom + step.waiting.value * 1000;
      return `waits until about ${format(until, isToday(until) ? 'HH:mm' : 'd MMM, HH:mm')}`;
    }
    const mark = state.mark
      ? `marked${state.mark.stop === null ? '' : ` in stop ${state.mark.stop}`} at stitch ${state.mark.stitch.toLocaleString('en')}`
      : '';
    return [state.phase === 'paused' ? 'paused' : '', mark].filter(Boolean).join(', ');
  }
  /** A plain tab, to show an empty workroom what a ribbon says. */
  let example = $state.raw<RibbonStep[]>();
  $effect(() => {
    if (shelved.value?.count !== 0) return;
    // Without an answer the page says all the same what to do first.
    void fetch('/api/example.json')
      .then(async (answer) => {
        if (answer.ok) example = (await answer.json()) as RibbonStep[];
      })
      .catch((problem: unknown) => console.info(`No example is shown: ${messageOf(problem)}`));
  });

  async function showRound(): Promise<void> {
    await bringDemo();
    const first = tour.go(0);
    if (first) await goto(first.path);
  }
  async function bringDemo(): Promise<void> {
    try {
      await bringInDemo();
      toast('The gift stall is on your shelf.');
    } catch (error) {
      report(error, 'The demo could not be brought in.');
    }
  }
</script>

<svelte:head><title>Bench · Jolt Step</title></svelte:head>

<h1 class="text-3xl">Bench</h1>

{#if shelved.value?.count === 0}
  <section class="mt-10 max-w-4xl">
    <h2 class="text-2xl">Start with a chart</h2>
    <p class="mt-2 text-lg">
      Paste the colour chart of a design and say what it becomes. You get one sheet with every stop and hand
      step in order, what to cut, and how long it takes. Then it leads you through at the machine.
    </p>
    <div class="mt-6 flex flex-wrap gap-3">
      <a href="/items/new" class="button button-main">New item from a chart</a>
      <button type="button" class="button" onclick={() => void showRound()}
        >Show me round, with the demo stall</button
      >
      <button type="button" class="button" onclick={bringDemo}>Look at the demo stall first</button>
    </div>
    {#if example}
      <figure class="mt-12">
        <Ribbon steps={example} label="A snap tab as a ribbon, {example.length} steps" />
        <figcaption class="mt-2 text-soft">
          A snap tab, true to time: what the needle does stands on the line, what your hands do hangs below
          it.
        </figcaption>
      </figure>
    {/if}
  </section>
{:else if shelved.value}
  <NextForHands />
  <section class="mt-6" aria-labelledby="open-runs">
    <h2 id="open-runs" class="text-xl">At the machine</h2>
    {#if open.value?.length === 0}
      <p class="mt-1 text-soft">Nothing is on a machine. Take an item from below.</p>
    {/if}
    <ul class="mt-3 flex flex-col gap-3">
      {#each open.value ?? [] as each (each.run.id)}
        {@const { run, step, left } = each}
        {@const stands = standing(each)}
        <li
          class="grid grid-cols-[1fr_auto] items-center gap-x-6 gap-y-3 border-l-4 border-hands bg-sheet p-4"
        >
          <div>
            <p class="head text-xl">{run.itemName}</p>
            <p class="text-soft">
              {run.plan.machine.name} · started {format(run.startedAt, 'd MMM, HH:mm')} · {step
                ? `step ${step.number} of ${run.plan.steps.length}: ${step.title}`
                : 'all steps done'}{#if stands}
                · <strong class="text-ink">{stands}</strong>{/if}
            </p>
          </div>
          <button type="button" class="button button-main" onclick={() => goto(`/run/${run.id}`)}
            >Go on</button
          >
          <div class="col-span-2">
            <Ribbon
              steps={ribbonSteps(run.plan.steps)}
              label="{run.itemName}, step by step"
              selected={step?.id}
              small
            />
          </div>
          <div class="col-span-2 flex items-baseline gap-3">
            <span class="text-soft">still to do</span><Times {...left} size="small" />
          </div>
        </li>
      {/each}
    </ul>
  </section>

  <section class="mt-8" aria-labelledby="next">
    <div class="flex items-baseline justify-between">
      <h2 id="next" class="text-xl">
        On the shelf
        {#if shelved.value.count > 4}<a class="ml-3 text-base font-normal underline" href="/items"
            >all {shelved.value.count}</a
          >{/if}
      </h2>
      <a href="/items/new" class="button button-main">New item</a>
    </div>
    <ul class="mt-3 border-t-[1.5px] border-ink">
      {#each shelved.value.first as { id, name, made } (id)}
        <li>
          <a
            href="/items/{id}"
            class="grid min-h-18 grid-cols-[4.5rem_14rem_minmax(0,1fr)_22rem] items-center gap-6 border-b border-rule py-3 hover:bg-sheet max-[900px]:grid-cols-1 max-[900px]:gap-2"
          >
            <span class="block h-16 w-16"
              >{#if made?.look}<ItemPicture look={made.look} {name} />{/if}</span
            >
            <span
              ><span class="head text-lg">{name}</span><br /><span class="text-sm text-soft"
                >{#if made}{made.hoop}, {made.machine.toLowerCase()}{/if}</span
              ></span
            >
            {#if made}
              <Ribbon steps={made.ribbon} label="{name}, step by step" small />
              <Times hands={made.hands} needle={made.needle} waiting={made.waiting} size="small" />
            {/if}
          </a>
        </li>
      {/each}
    </ul>
  </section>

  <div class="mt-6 grid grid-cols-2 gap-8 max-[900px]:grid-cols-1">
    {#if last.value}
      {@const run = last.value}
      <section aria-labelledby="taught">
        <h2 id="taught" class="text-xl">What the last run taught</h2>
        <p class="text-soft">
          <a class="text-ink underline" href="/log/{run.id}">{run.itemName}</a>, {format(
            run.startedAt,
            'd MMMM'
          )},
          {formatMinutes((Date.parse(run.finishedAt) - Date.parse(run.startedAt)) / 1000)} from start to finish.
        </p>
        <ul>
          {#each run.lessons as lesson (lesson)}<li class="border-b border-rule py-1">
              {lesson}
            </li>{:else}<li class="py-1">Nothing in this run changed the estimates.</li>{/each}
        </ul>
      </section>
    {/if}
    {#if (short.value ?? []).length > 0}
      <section aria-labelledby="short">
        <h2 id="short" class="text-xl">Running short</h2>
        <ul>
          {#each short.value ?? [] as words (words)}<li class="border-b border-rule py-1">{words}</li>{/each}
        </ul>
        <a class="mt-1 inline-flex underline min-h-11 items-center" href="/stash/shopping">Shopping list</a>
      </section>
    {/if}
  </div>
  <BackupPanel brief />
{/if}
