<script lang="ts">
  import EmptyState from '$lib/ui/EmptyState.svelte';
  import type { StandInSetup } from '$lib/core/running/standIn';
  import { getShop, live, standIns, type StandIn } from '$lib/data';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { toast } from 'svelte-sonner';
  import { onMount } from 'svelte';
  import MachineCard from './MachineCard.svelte';

  const shop = live(() => null, getShop);
  let machines = $state<StandIn[]>([]);
  let problem = $state('');

  async function refresh(): Promise<void> {
    const reply = await standIns.list();
    machines = reply.ok ? reply.value : [];
    problem = reply.ok ? '' : reply.message;
  }
  onMount(() => void refresh());

  let like = $state('');
  let hoop = $state('');
  let faultsPer10k = $state(3);
  let seed = $state(1);
  let speed = $state(1);
  const model = $derived(shop.value?.machines.find(({ id }) => id === like) ?? shop.value?.machines[0]);
  const hoopId = $derived(hoop || (shop.value?.hoops[0]?.id ?? 'hoop-100'));

  async function create(): Promise<void> {
    if (!model || !shop.value) return;
    const setup: StandInSetup = {
      name: `Stand-in for ${model.name.toLowerCase()}`,
      needles: model.needles,
      heads: model.heads,
      spm: model.setSpm,
      trimmer: model.trimmer,
      haltEveryStop: false,
      hoop: hoopId,
      bobbinMetres: shop.value.bobbins[0]?.metres ?? 40,
      faultsPer10k,
      seed,
      speed
    };
    const reply = await standIns.create(setup);
    if (!reply.ok) toast.error(reply.message);
    await refresh();
  }
</script>

<svelte:head><title>Stand-in machine · Jolt Step</title></svelte:head>

<h1 class="text-3xl">Stand-in machine</h1>
<p class="mt-1 max-w-3xl text-soft">
  A machine that is not there: it loads, stitches, breaks threads and runs out of bobbin as a real one does,
  and refuses what a real one refuses. A run can follow it, to practise or to try a plan out.
</p>

<form
  class="mt-4 flex flex-wrap items-end gap-4 border-y-[1.5px] border-ink py-4"
  onsubmit={(event) => {
    event.preventDefault();
    void create();
  }}
>
  <label class="flex flex-col gap-1"
    ><span class="label">Like</span><select
      class="field"
      value={model?.id}
      onchange={(event) => (like = event.currentTarget.value)}
    >
      {#each shop.value?.machines ?? [] as { id, name, needles } (id)}<option value={id}
          >{name}, {needles === 1 ? 'one needle' : `${needles} needles`}</option
        >{/each}
    </select></label
  >
  <label class="flex flex-col gap-1"
    ><span class="label">Set for the hoop</span><select
      class="field"
      value={hoopId}
      onchange={(event) => (hoop = event.currentTarget.value)}
    >
      {#each shop.value?.hoops ?? [] as { id, name } (id)}<option value={id}>{name}</option>{/each}
    </select></label
  >
  <NumberField
    label="Faults in 10,000 stitches"
    value={faultsPer10k}
    whole={false}
    onchange={(value) => (faultsPer10k = Math.min(500, value ?? 0))}
  />
  <NumberField label="Luck (seed)" value={seed} onchange={(value) => (seed = value ?? 0)} />
  <NumberField
    label="Times as fast, 1 to 500"
    value={speed}
    onchange={(value) => (speed = Math.min(500, Math.max(1, value ?? 1)))}
  />
  <button type="submit" class="button button-main">Set it up</button>
</form>

{#if problem}<p class="mt-4 text-hands">{problem}</p>{/if}
<div class="mt-4 flex flex-col gap-6">
  {#each machines as machine (machine.id)}
    <MachineCard {machine} onremoved={() => void refresh()} />
  {:else}
    {#if !problem}<EmptyState picture="machine"
        ><p>
          None is set up. Set one up, then press “Stitch it” on an item, “More”, “Follow a machine”.
        </p></EmptyState
      >{/if}
  {/each}
</div>
