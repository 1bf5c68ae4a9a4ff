<script lang="ts">
  import { page } from '$app/state';
  import { formatDuration, formatMinutes } from '$lib/core/base/units';
  import type { Estimate } from '$lib/core/documents/plan';
  import { defaultSetup, type Setup } from '$lib/core/documents/shop';
  import { plan as planItem } from '$lib/core/making/plan';
  import { type Compared, comparedTimes, halfRange } from '$lib/core/making/time';
  import { handMinutes, savings } from '$lib/core/running/runs';
  import { changeSetup, changeShop, live, runsThatTell, threadTable } from '$lib/data';
  import { keepEdit } from '../../../undo';
  import UndoBar from '../../../UndoBar.svelte';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import ItemHeader from '$lib/ui/ItemHeader.svelte';
  import { ribbonSteps } from '$lib/core/making/summary';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { ThreadPlanning } from '$lib/workers';
  import { format } from 'date-fns';
  import { onDestroy } from 'svelte';
  import RangeBar from './RangeBar.svelte';

  const table = live(
    () => page.params.id ?? '',
    async (id) => {
      const found = await threadTable(id);
      return { found, ...(await runsThatTell(id, found?.shop.learned?.runIds ?? [])) };
    }
  );
  const found = $derived(table.value?.found);
  const setup = $derived(found && (found.setup ?? defaultSetup(found.item, found.shop)));
  const plan = $derived(found && setup && planItem(found.item, setup, found.shop));
  // Another order of stops is looked for beside the page.
  const planning = new ThreadPlanning();
  $effect(() => {
    if (!found || !setup) return;
    const anyHidden = found.shop.schools['hidden-threads'] !== 'chart';
    planning.follow({ item: found.item, setup, shop: found.shop, anyHidden, measured: found.measured });
  });
  onDestroy(() => planning.stop());
  const spared = $derived.by(() => {
    const made = planning.made?.plan.itemId === found?.item.id ? planning.made : null;
    const better = made?.order.better?.plan;
    return made && better ? made.plan.totals.hands.value - better.totals.hands.value : 0;
  });

  const kinds = $derived<[Estimate, string, string][]>(
    plan
      ? [
          [plan.totals.hands, 'hands', 'a person is needed'],
          [plan.totals.needle, 'needle', 'the machine runs'],
          [plan.totals.waiting, 'waiting', 'soak, dry, set']
        ]
      : []
  );
  const longest = $derived(Math.max(1, ...kinds.slice(0, 2).map(([estimate]) => estimate.high)));
  const minutes = $derived(plan ? handMinutes(plan) : []);
  const most = $derived(Math.max(1, ...minutes.map(({ seconds }) => seconds)));
  const ways = $derived(plan ? savings(plan, spared) : []);
  const logged = $derived(table.value?.logged ?? []);
  const teachers = $derived(table.value?.teachers ?? []);
  const compared = $derived<Compared[]>(
    plan && setup
      ? comparedTimes({
          claimed: setup.claimedMinutes,
          displayed: setup.displayedMinutes,
          logged: logged.map(({ actual }) => actual),
          needle: plan.totals.needle,
          hands: plan.totals.hands,
          stitches: plan.stitches
        })
      : []
  );
  let showing = $state(false);

  /** The machine is taken for what it averages, from now on. */
  const usePace = (paceSpm: number): void => {
    const own = setup?.machineId;
    void keepEdit(
      changeShop((shop) => ({
        ...shop,
        machines: shop.machines.map((each) => (each.id === own ? { ...each, paceSpm } : each))
      }))
    );
  };

  const set = (change: Partial<Setup>): void => {
    if (found) void keepEdit(changeSetup(found.item.id, (now) => ({ ...now, ...change })));
  };
  const range = ({ low, high }: { low: number; high: number }): string =>
    `${formatDuration(low)} to ${formatDuration(high)}`;
</script>

<svelte:head><title>Time · {found?.item.name ?? ''} · Jolt Step</title></svelte:head>

{#if found && setup && plan}
  <ItemHeader {plan}><UndoBar /></ItemHeader>
  <div class="mt-3"><Ribbon steps={ribbonSteps(plan.steps)} label="{plan.itemName}, true to time" /></div>

  <section class="mt-4 border-t-[1.5px] border-ink" aria-label="Estimated times">
    {#each kinds as [estimate, kind, words] (kind)}
      {#if estimate.value > 0}
        <div
          class="grid grid-cols-[13rem_minmax(0,1fr)_24rem] items-center gap-6 border-b max-[900px]:grid-cols-1 max-[900px]:gap-2 border-rule py-2"
        >
          <p>
            <span
              class="head text-3xl {kind === 'hands'
                ? 'text-hands'
                : kind === 'needle'
                  ? 'text-needle'
                  : 'text-wait'}">{formatMinutes(estimate.value)}</span
            ><br /><span class="text-soft"><strong class="text-ink">{kind}</strong>, {words}</span>
          </p>
          {#if kind === 'waiting'}<p class="text-soft">As told; it is not drawn to scale.</p>
          {:else}<RangeBar {estimate} {longest} {kind} />{/if}
          <p class="text-[0.9375rem]">
            {#if kind !== 'waiting'}
              Half of all runs take {range(halfRange(estimate))}, eight in ten {range(estimate)}.<br />
              <span class="text-soft">Rests on {estimate.source}.</span>
            {/if}
          </p>
        </div>
      {/if}
    {/each}
  </section>

  <div class="mt-4 grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1">
    <section aria-labelledby="hands-go">
      <h2 id="hands-go" class="text-xl">Where your hands’ time goes</h2>
      <ul class="mt-1">
        {#each minutes.slice(0, 9) as { key, name, seconds, steps } (key)}
          <li
            class="grid grid-cols-[14rem_minmax(0,1fr)_5.5rem] items-center gap-3 max-[500px]:grid-cols-[8rem_minmax(0,1fr)_4rem] py-1"
          >
            <span class="truncate"
              >{name}{#if steps > 1}<span class="text-soft">{` × ${steps}`}</span>{/if}</span
            >
            <svg class="h-4 w-full" preserveAspectRatio="none" viewBox="0 0 100 10" aria-hidden="true"
              ><rect width={(seconds / most) * 100} height="10" class="fill-hands" /></svg
            >
            <span class="text-right">{formatMinutes(seconds)}</span>
          </li>
        {/each}
      </ul>
    </section>
    <section aria-labelledby="shorter">
      <h2 id="shorter" class="text-xl">What would shorten it</h2>
      <ul class="mt-1">
        {#each ways as { id, words, seconds, kind } (id)}
          <li class="flex items-baseline gap-3 border-b border-rule py-1.5">
            <span class="head w-20 shrink-0 text-right text-lg">{formatMinutes(seconds)}</span><span
              >{#if id === 'order'}<a class="underline" href="/items/{plan.itemId}/thread">{words}</a
                >{:else}{words}{/if}<span class="text-soft"
                >, {kind === 'hands'
                  ? 'less for your hands'
                  : 'less from start to finish, each further copy'}</span
              ></span
            >
          </li>
        {:else}<li class="text-soft">Nothing that is known.</li>{/each}
      </ul>

      <h2 class="mt-4 text-xl">Four times, kept apart</h2>
      <div class="mt-1 flex flex-wrap items-end gap-4">
        <NumberField
          label="Claimed by the seller, min"
          value={setup.claimedMinutes ?? null}
          empty="nothing"
          onchange={(value) => set({ claimedMinutes: value ?? undefined })}
        />
        <NumberField
          label="Displayed by the machine, min"
          value={setup.displayedMinutes ?? null}
          empty="nothing"
          onchange={(value) => set({ displayedMinutes: value ?? undefined })}
        />
        {#if (found.shop.people ?? []).length > 0}
          <label class="flex flex-col gap-1"
            ><span class="label">Whose hands</span><select
              class="field"
              value={setup.person ?? ''}
              onchange={(event) => set({ person: event.currentTarget.value || undefined })}
            >
              <option value="">nobody in particular</option>
              {#each found.shop.people ?? [] as name (name)}<option>{name}</option>{/each}
            </select></label
          >
        {/if}
      </div>
      <p class="mt-2">
        Estimated: {formatMinutes(plan.totals.needle.value)} needle, {formatMinutes(plan.totals.hands.value)} hands.
        {#each logged.slice(0, 3) as run (run.id)}
          <br />Logged
          <a class="underline" href="/log/{run.id}">{format(run.startedAt, 'd MMMM')}</a>: {formatMinutes(
            run.actual.needle
          )} needle, {formatMinutes(run.actual.hands)} hands.
        {:else}<br /><span class="text-soft">No run of it is logged yet.</span>{/each}
      </p>
      {#each compared as { of, words, pace } (of)}
        <p class="mt-2 border-l-4 border-needle px-3">
          {words}
          {#if pace !== undefined}
            <button type="button" class="button mt-1 block" onclick={() => usePace(pace)}
              >Take this machine for {pace} a minute</button
            >
          {/if}
        </p>
      {/each}
      <button type="button" class="button mt-3" aria-expanded={showing} onclick={() => (showing = !showing)}
        >{teachers.length === 0
          ? 'No runs to learn from yet'
          : `Learned from ${teachers.length} runs`}</button
      >
      {#if showing}
        <ul class="mt-2">
          {#each teachers as run (run.id)}
            <li class="border-b border-rule py-1">
              <a class="underline" href="/log/{run.id}"
                >{run.itemName}, {format(run.startedAt, 'd MMMM yyyy')}</a
              >,
              {run.machine.toLowerCase()}
            </li>
          {:else}<li class="text-soft">
              The estimate is the craft’s default until a run is finished.
            </li>{/each}
        </ul>
      {/if}
    </section>
  </div>
{:else if table.value}
  <h1 class="text-3xl">There is no such item.</h1>
  <a href="/items" class="button mt-6">To the shelf</a>
{/if}
