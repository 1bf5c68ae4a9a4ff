<script lang="ts">
  import { report } from '../report';
  import EmptyState from '$lib/ui/EmptyState.svelte';
  import type { Drill } from '$lib/core/running/drills';
  import {
    drillsOf,
    nextDrill,
    pathOf,
    Practised,
    practised,
    SKILL_WORDS,
    SKILLS,
    stationItem
  } from '$lib/core/running/drills';
  import { getItem, getShop, keepPractice, live, practiceKept, shelfRows } from '$lib/data';
  import DrillView from './DrillView.svelte';

  const table = live(
    () => null,
    async () => ({ rows: await shelfRows(), shop: await getShop() })
  );
  const items = $derived((table.value?.rows ?? []).filter(({ away }) => !away));
  let known = $state.raw<Practised | null>(null);
  let chosenId = $state<string | null>(null);
  const itemId = $derived(items.find(({ id }) => id === chosenId)?.id ?? items[0]?.id ?? null);
  const chosen = live(
    () => itemId,
    async (id) => ({ item: id === null ? undefined : await getItem(id) })
  );
  /** The station of the path that is practised, where it is none of the shelf. */
  let station = $state<string | null>(null);
  const item = $derived(
    station !== null
      ? (stationItem(station) ?? undefined)
      : chosen.value?.item?.id === itemId
        ? chosen.value?.item
        : undefined
  );
  const path = $derived(pathOf(known ?? Practised.parse({})));
  function goTo(kind: string | null): void {
    station = kind;
    asked = null;
  }
  /** One seed a visit: the same drills until the page is left. */
  const seed = Math.floor(Math.random() * 1e6);
  const drills = $derived(item && table.value ? drillsOf(item, table.value.shop, seed) : []);

  void practiceKept().then((kept) => (known = kept));
  let asked = $state.raw<Drill | null>(null);
  let round = $state(0);
  $effect(() => {
    if (!known) return;
    const still = asked && drills.some(({ id }) => id === asked?.id);
    if (!still) asked = nextDrill(drills, known, new Date()) ?? null;
  });

  async function answered(drill: Drill, right: boolean): Promise<void> {
    known = practised(known ?? Practised.parse({}), drill, right, new Date());
    try {
      await keepPractice(known);
    } catch (problem) {
      report(problem, 'What you practised is not kept.');
    }
  }
  function next(): void {
    if (!known) return;
    const others = drills.filter(({ id }) => id !== asked?.id);
    asked = nextDrill(others, known, new Date()) ?? others[Math.floor(Math.random() * others.length)] ?? null;
    round++;
  }
  const share = (skill: string): { right: number; all: number } => {
    const { right, wrong } = known?.skills[skill] ?? { right: 0, wrong: 0 };
    return { right, all: right + wrong };
  };
</script>

<svelte:head><title>Practice · Jolt Step</title></svelte:head>

<div class="flex flex-wrap items-end gap-4">
  <div class="mr-auto">
    <h1 class="text-3xl">Practice</h1>
    <p class="text-soft">
      Be wrong here, where it costs nothing. Every question comes from the simulated hoop.
    </p>
  </div>
  {#if items.length > 0}
    <label class="flex flex-col gap-1"
      ><span class="label">With the item</span><select
        class="field"
        value={station === null ? (itemId ?? '') : ''}
        onchange={({ currentTarget }) => {
          chosenId = currentTarget.value;
          goTo(null);
        }}
        >{#if station !== null}<option value="">the path below</option
          >{/if}{#each items as each (each.id)}<option value={each.id}>{each.name}</option>{/each}</select
      ></label
    >
  {/if}
</div>

{#if table.value && items.length === 0}
  <EmptyState picture="practice"
    ><p>
      Drills are made from items, and the shelf is empty. <a class="underline" href="/items/new"
        >Make an item</a
      >
      or bring in the demo stall from the <a class="underline" href="/">bench</a>.
    </p></EmptyState
  >
{/if}

{#if asked}
  {#key `${asked.id}/${round}`}
    <DrillView
      drill={asked}
      unit={table.value?.shop.unit ?? 'mm'}
      onanswer={(right) => asked && void answered(asked, right)}
      onnext={next}
    />
  {/key}
{:else if item && known}
  <p class="mt-6 text-lg">There is nothing left to ask about this item for now. Choose another.</p>
{/if}

<section class="mt-8" aria-labelledby="path">
  <h2 id="path" class="text-xl">A beginner’s path through six items</h2>
  <ol class="mt-2 grid gap-3" style:grid-template-columns="repeat(auto-fill, minmax(15rem, 1fr))">
    {#each path.stations as { kind, name, teaches, right, all, done }, at (kind)}
      <li>
        <button
          type="button"
          class="flex h-full w-full flex-col rounded-md border-2 p-3 text-left {station === kind
            ? 'border-ink bg-sheet'
            : 'border-rule hover:border-rule-strong'}"
          disabled={at > path.next}
          aria-pressed={station === kind}
          onclick={() => goTo(kind)}
        >
          <span class="head text-lg {done ? 'text-needle' : at === path.next ? 'text-hands' : 'text-soft'}"
            >{at + 1}. {name}{done ? ', done' : at === path.next ? ', next' : ''}</span
          >
          <span class={at > path.next ? 'text-soft' : ''}>{teaches}</span>
          <span class="mt-auto pt-1 text-sm text-soft"
            >{all === 0 ? 'six right answers' : `${right} of ${all} right`}</span
          >
        </button>
      </li>
    {/each}
  </ol>
</section>

<section class="mt-8 border-t-[1.5px] border-ink pt-3" aria-label="What you can do">
  <ul class="flex flex-wrap gap-x-8 gap-y-2">
    {#each SKILLS as skill (skill)}
      {@const { right, all } = share(skill)}
      <li>
        <span class="font-bold">{SKILL_WORDS[skill]}</span>
        <span class="text-soft">{all === 0 ? 'not asked yet' : `${right} of ${all} right`}</span>
      </li>
    {/each}
  </ul>
</section>
