<script lang="ts">
  import { formatLength } from '$lib/core/base/units';
  import type { Run } from '$lib/core/documents/run';
  import { TENSIONS, type Trial } from '$lib/core/documents/shop';
  import { OVERLAPS, SPACINGS, trialCloth, trialWords, withTrial } from '$lib/core/running/trial';
  import { changeShop, getShop, live } from '$lib/data';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import { keepEdit } from '../../undo';

  /** What a test stitch showed: it is said before the next start on such a cloth, and how exactly one cuts is reckoned with. */
  let { run }: { run: Run } = $props();

  const shop = live(() => null, getShop);
  const known = $derived((shop.value?.trials ?? []).filter(({ id }) => id.startsWith(`${run.id} `)));
  const cloth = $derived(run.item ? trialCloth(run.item) : undefined);
  const threads = $derived([
    ...new Set(run.plan.steps.flatMap(({ stop, thread }) => (stop && thread ? [thread.name] : [])))
  ]);
  let thread = $state('');
  const chosen = $derived(threads.includes(thread) ? thread : (threads[0] ?? ''));
  let tension = $state<Trial['tension']>('even');
  let spacing = $state<number | null>(null);
  let overlap = $state<number | null>(null);
  let cut = $state<number | null>(null);

  const TENSION_WORDS: Record<Trial['tension'], string> = {
    even: 'even: a third of bobbin down the middle, below',
    'bobbin-above': 'bobbin shows above',
    'loops-above': 'loops above',
    'loops-below': 'loops below'
  };
  function keep(): void {
    if (!cloth) return;
    const trial: Trial = {
      id: `${run.id} ${chosen}`.slice(0, 120),
      at: new Date().toISOString(),
      itemId: run.item?.trial?.of ?? null,
      kind: cloth.kind,
      cloth: cloth.name,
      thread: chosen.slice(0, 80),
      tension,
      spacing,
      overlap,
      cut
    };
    void keepEdit(
      changeShop((now) => withTrial(now, trial), 'a test stitch'),
      `Kept. It is said before the next start on ${cloth.name}.`
    );
  }
</script>

{#if cloth && shop.value}
  <section class="mt-6 border-l-4 border-needle bg-needle-pale px-4 py-3" aria-labelledby="trial">
    <h2 id="trial" class="text-xl">What did the test stitch show, on {cloth.name}?</h2>
    <form
      class="mt-2 flex flex-wrap items-end gap-x-5 gap-y-3"
      onsubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <label class="flex flex-col gap-1"
        ><span class="label">Thread</span><select
          class="field"
          value={chosen}
          onchange={({ currentTarget }) => (thread = currentTarget.value)}
          >{#each threads as name (name)}<option value={name}>{name}</option>{/each}</select
        ></label
      >
      <label class="flex flex-col gap-1"
        ><span class="label">The H and its columns</span><select class="field" bind:value={tension}
          >{#each TENSIONS as each (each)}<option value={each}>{TENSION_WORDS[each]}</option>{/each}</select
        ></label
      >
      <label class="flex flex-col gap-1"
        ><span class="label">The most open square that covers</span><select class="field" bind:value={spacing}
          ><option value={null}>not looked at</option>{#each SPACINGS as each, at (each)}<option value={each}
              >number {at + 1}, rows {each} mm apart</option
            >{/each}</select
        ></label
      >
      <label class="flex flex-col gap-1"
        ><span class="label">The first edge that holds</span><select class="field" bind:value={overlap}
          ><option value={null}>not looked at</option>{#each OVERLAPS as each, at (each)}<option value={each}
              >number {at + 1}, {formatLength(each, shop.value.unit)} over</option
            >{/each}</select
        ></label
      >
      <LengthField
        label="The cut strays from its line"
        unit={shop.value.unit}
        value={cut ?? shop.value.cutAccuracy}
        onchange={(mm) => mm >= 0 && mm <= 10 && (cut = mm)}
      />
      <button type="submit" class="button button-main">Keep it</button>
    </form>
    {#each known as trial (trial.id)}
      <p class="mt-2">{trialWords(trial).join(' ')}</p>
    {/each}
  </section>
{/if}
