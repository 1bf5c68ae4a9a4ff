<script lang="ts">
  import { page } from '$app/state';
  import { formatSize } from '$lib/core/base/units';
  import type { CutJob } from '$lib/core/documents/cutJob';
  import type { ClothEntry } from '$lib/core/documents/stash';
  import {
    chosen,
    confirmCut,
    cutInputOf,
    type Demand,
    entryBought,
    entryIdOf,
    letterOf,
    type MaterialPlan,
    type PlannedCloth,
    plannedWants,
    TO_BUY,
    undoCut
  } from '$lib/core/preparing/cutting';
  import {
    changeCopies,
    changeCutJob,
    changeItem,
    changeShop,
    changeStash,
    cuttingMat,
    freshId,
    live,
    storeCut
  } from '$lib/data';
  import { carried } from '$lib/core/documents/changes';
  import { keepEdit } from '../../../undo';
  import UndoBar from '../../../UndoBar.svelte';
  import ItemHeader from '$lib/ui/ItemHeader.svelte';
  import { LoaderCircle, Printer, Undo2 } from '@lucide/svelte';
  import { onDestroy } from 'svelte';
  import { toast } from 'svelte-sonner';
  import ClothCard from './ClothCard.svelte';
  import { CutPlanning } from '$lib/workers';
  import CutNotes from './CutNotes.svelte';
  import IdleCloths from './IdleCloths.svelte';
  import OwnSizeDialog from './OwnSizeDialog.svelte';
  import PickedBar from './PickedBar.svelte';
  import PieceList from './PieceList.svelte';
  import UnplacedList from './UnplacedList.svelte';
  import WantsBar from '$lib/ui/WantsBar.svelte';

  const bench = live(
    () => page.params.id ?? '',
    async (id) => ({ mat: await cuttingMat(id) })
  );
  const mat = $derived(bench.value?.mat);
  const input = $derived(mat && cutInputOf(mat));
  const planning = new CutPlanning();
  $effect(() => {
    if (input) planning.follow(input);
  });
  onDestroy(() => planning.stop());

  const wants = $derived(mat ? plannedWants(mat) : []);
  const planned = $derived(wants[0]?.plan);
  const entries = $derived((mat?.stash ?? []).filter((entry): entry is ClothEntry => entry.what === 'cloth'));
  const nameOf = (key: string): string =>
    input?.demands.find((demand) => demand.key === key)?.name ?? 'a piece no longer wanted';
  const letter = (key: string): string =>
    letterOf((input?.demands ?? []).findIndex((demand) => demand.key === key));
  const cuts = $derived(planning.plans.reduce((sum, each) => sum + each.cuts, 0));
  const cloths = $derived(planning.plans.reduce((sum, each) => sum + each.cloths.length, 0));
  /** Cloth of the kinds in use that nothing is cut from yet. */
  const idle = $derived.by(() => {
    const used = new Set(planning.plans.flatMap((each) => each.cloths.map(({ entryId }) => entryId)));
    const kinds = new Set((input?.demands ?? []).map(({ material }) => material.kind));
    return entries.filter(({ id, kind }) => kinds.has(kind) && !used.has(id));
  });
  let picked = $state<string | null>(null);
  let owning = $state<Demand | null>(null);
  const pickedDemand = $derived(input?.demands.find(({ key }) => key === picked));
  const owner = $derived(mat?.wants.find(({ item }) => item.id === owning?.itemId)?.item);
  const ownPiece = $derived(owner?.pieces.find(({ id }) => id === owning?.pieceId));

  const keep = (change: (job: CutJob) => Partial<CutJob>, said?: string): void => {
    if (mat)
      void keepEdit(
        changeCutJob(mat.job, (now) => ({ ...now, ...change(now) })),
        said
      );
  };
  function setCopies(itemId: string, copies: number): void {
    if (mat) void keepEdit(changeCopies(mat.job, itemId, copies));
  }
  function move(key: string, clothId: string, count: number): void {
    const demand = input?.demands.find((each) => each.key === key);
    const entry = entries.find(({ id }) => id === clothId);
    if (!mat || !demand) return;
    if (entry && entry.kind !== demand.material.kind) {
      toast.error(`${demand.name} is made of another material than ${entry.name}, so it stays where it is.`);
      return;
    }
    keep(
      (job) => chosen(job, demand, clothId, count),
      `${demand.name} now comes from ${entry?.name ?? 'what is bought'}.`
    );
  }
  function lock(cloth: PlannedCloth, strip: number, on: boolean): void {
    if (!mat) return;
    const kept = planning.plans.flatMap((each) =>
      each.cloths.flatMap((own) =>
        own.strips.flatMap(({ strip: cut, kept: held }, at) => {
          const here = own.cloth.id === cloth.cloth.id && at === strip;
          return (here ? on : held) ? [{ clothId: own.cloth.id, along: own.along, strip: cut }] : [];
        })
      )
    );
    keep(() => ({ kept }));
  }
  async function cut(cloth: PlannedCloth): Promise<void> {
    const entry = entries.find(({ id }) => id === entryIdOf(cloth.cloth.id));
    if (!mat || !entry) return;
    const { shop, job } = mat;
    const made = confirmCut({
      job,
      plans: planning.plans,
      cloth,
      entry,
      rule: shop.offcuts,
      hoops: shop.hoops,
      now: new Date().toISOString(),
      freshId
    });
    const back = made.changes.filter(({ before }) => before === null).map(({ after }) => after);
    const offcuts = back.flatMap((after) => (after?.what === 'cloth' ? [formatSize(after, shop.unit)] : []));
    await keepEdit(
      storeCut(job, (now) => carried(job, made.job, now), made.changes, `a cut · ${cloth.name}`),
      `${cloth.name} is shorter by that strip.${offcuts.length > 0 ? ` Back into the stash: ${offcuts.join(', ')}.` : ''}`
    );
  }
  async function takeBack(): Promise<void> {
    if (!mat) return;
    const undone = undoCut(mat.job, mat.stash);
    if (!undone) return;
    const { job } = mat;
    if (undone.ok)
      await keepEdit(
        storeCut(job, (now) => carried(job, undone.job, now), undone.changes, 'a cut taken back')
      );
    else toast.error(undone.problem);
  }
  async function bought(material: MaterialPlan): Promise<void> {
    if (!mat || !material.buy) return;
    const entry = entryBought(material.buy, freshId());
    await keepEdit(
      changeStash(entry.id, () => entry, `buying ${material.material.name.toLowerCase()}`),
      `${material.material.name} is in the stash now.`
    );
  }
</script>

<svelte:head><title>Cut · {planned?.itemName ?? ''} · Jolt Step</title></svelte:head>

{#if mat && planned && input}
  <ItemHeader plan={planned}><UndoBar /></ItemHeader>
  <div class="no-print mt-3 flex flex-wrap items-end gap-x-5 gap-y-2">
    <WantsBar
      wants={mat.wants}
      others={mat.others}
      main={mat.job.id}
      add="Cut another along"
      oncopies={setCopies}
      onadd={(itemId) => keep(({ wants }) => ({ wants: [...wants, { itemId, copies: 1 }] }))}
      onleave={(itemId) => keep(({ wants }) => ({ wants: wants.filter((want) => want.itemId !== itemId) }))}
    />
    <div class="ml-auto flex items-center gap-3">
      {#if mat.job.done.length > 0}
        <button type="button" class="button button-quiet" onclick={() => void takeBack()}
          ><Undo2 size={20} aria-hidden="true" />Undo the last cut</button
        >
      {/if}
      {#if mat.job.kept.length > 0 || mat.job.choices.length > 0}
        <button
          type="button"
          class="button button-quiet"
          onclick={() => keep(() => ({ kept: [], choices: [] }))}>Plan anew</button
        >
      {/if}
      <button type="button" class="button" onclick={() => window.print()}
        ><Printer size={20} aria-hidden="true" />Print</button
      >
    </div>
  </div>

  <div class="mt-4 grid grid-cols-[21rem_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1">
    <aside aria-label="Pieces">
      <h2 class="mb-2 text-2xl">Pieces</h2>
      <PieceList
        plans={planning.plans}
        unit={mat.shop.unit}
        several={mat.wants.length > 1}
        {letter}
        onown={(demand) => (owning = demand)}
      />
      <p class="mt-2 text-sm text-soft">
        Open a piece for the reason of every millimetre. What the ring holds follows {planned.hoop.name.toLowerCase()},
        {formatSize(planned.hoop.ring, planned.unit)} outside.
      </p>
    </aside>
    <section aria-label="Cutting plan" aria-busy={planning.working}>
      {#if planning.failed}<p class="border-l-4 border-hands bg-hands-pale px-3 py-1.5" role="alert">
          The best plan found so far: the search broke off. {planning.failed}
        </p>{/if}
      <div class="flex min-h-11 flex-wrap items-baseline gap-x-4">
        <h2 class="text-2xl">Cutting plan</h2>
        <p>
          {cloths}
          {cloths === 1 ? 'cloth' : 'cloths'}, {cuts} cuts{mat.job.done.length > 0
            ? `; ${mat.job.done.length} ${mat.job.done.length === 1 ? 'strip is' : 'strips are'} cut already`
            : ''}
        </p>
        {#if planning.working}
          <span class="no-print flex items-center gap-2 text-soft" role="status"
            ><LoaderCircle size={18} class="animate-spin" aria-hidden="true" />looking for a better one
            <button type="button" class="button button-quiet" onclick={() => planning.stop()}>Stop</button
            ></span
          >
        {/if}
      </div>
      {#if entries.length === 0}
        <p class="no-print border-l-4 border-needle px-3 py-2">
          Your <a class="underline" href="/stash">stash</a> is empty, so all of it is to buy. Put in what you have,
          offcuts too, and the plan uses that first.
        </p>
      {/if}
      {#if pickedDemand}
        <PickedBar
          demand={pickedDemand}
          {entries}
          unit={mat.shop.unit}
          onmove={(to, count) => {
            const own = pickedDemand.key;
            if (to === null) keep(({ choices }) => ({ choices: choices.filter(({ key }) => key !== own) }));
            else move(own, to, count);
            picked = null;
          }}
          onclose={() => (picked = null)}
        />
      {/if}
      {#each planning.plans as material (material.id)}
        <UnplacedList unplaced={material.unplaced} />
        {#each material.cloths as cloth (cloth.cloth.id)}
          <ClothCard
            planned={cloth}
            {material}
            entry={entries.find(({ id }) => id === cloth.entryId)}
            unit={mat.shop.unit}
            {nameOf}
            {letter}
            {picked}
            onpick={(key) => (picked = picked === key ? null : key)}
            ondrag={(key) => (picked = key)}
            ondropped={(key) => move(key, cloth.entryId ?? TO_BUY, 1)}
            onlock={(strip, on) => lock(cloth, strip, on)}
            oncut={() => void cut(cloth)}
            onbought={() => void bought(material)}
          />
        {/each}
      {/each}
      {#if planning.plans.length > 0 && cloths === 0 && planning.plans.every(({ unplaced }) => unplaced.length === 0)}
        <p class="border-l-4 border-needle px-3 py-2">Everything is cut.</p>
      {/if}
      <IdleCloths entries={idle} unit={mat.shop.unit} ondropped={(key, clothId) => move(key, clothId, 1)} />
      <CutNotes {wants} demands={input.demands} plan={planned} shop={mat.shop} {entries} />
    </section>
  </div>
  {#if owning && owner && ownPiece}
    <OwnSizeDialog
      demand={owning}
      piece={ownPiece}
      shop={mat.shop}
      onpiece={(overrides, grain) => {
        if (!owner || !ownPiece) return;
        const pieceId = ownPiece.id;
        void keepEdit(
          changeItem(owner.id, (now) => ({
            ...now,
            pieces: now.pieces.map((each) => (each.id === pieceId ? { ...each, overrides, grain } : each))
          })),
          `${ownPiece.name} is cut as you say.`
        );
      }}
      onrule={(margin) => {
        const { use } = ownPiece;
        void keepEdit(
          changeShop((now) => ({ ...now, margins: { ...now.margins, [use]: margin } })),
          'The rule is changed, for every item.'
        );
      }}
      onclose={() => (owning = null)}
    />
  {/if}
{:else if bench.value}
  <h1 class="text-3xl">There is no such item.</h1>
  <a href="/items" class="button mt-6">To the shelf</a>
{/if}
