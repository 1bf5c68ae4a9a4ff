<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import type { Item, Material, Thread } from '$lib/core/documents/item';
  import type { StashEntry } from '$lib/core/documents/stash';
  import { type Appearance, recoloured, threadsOnCloth } from '$lib/core/making/appearance';
  import type { StackState } from '$lib/core/craft/stack';
  import {
    clothsLike,
    type Colourway,
    inColours,
    lacksOf,
    type seenOf,
    threadsIn
  } from '$lib/core/preparing/colourways';
  import Pictures from '$lib/ui/picture/Pictures.svelte';
  import { X } from '@lucide/svelte';
  import ColourChoice from './ColourChoice.svelte';

  /** An item in one set of colours: its picture, what it is made of, how threads stand on cloths, what the stash lacks. */
  interface Props {
    title: string;
    item: Item;
    look: Appearance;
    /** How it ends. */
    state: StackState;
    seen: ReturnType<typeof seenOf>;
    way: Colourway;
    stash: readonly StashEntry[];
    unit: LengthUnit;
    onchange?: (way: Colourway) => void;
    ontake?: () => void;
    onremove?: () => void;
  }
  let { title, item, look, state, seen, way, stash, unit, onchange, ontake, onremove }: Props = $props();

  const shown = $derived(inColours(item, look, way));
  const coloured = $derived(recoloured(state, shown));
  const now = $derived(seenOfWay(way));
  function seenOfWay({ cloths, threads }: Colourway): { cloths: typeof seen.cloths; threads: Thread[] } {
    return {
      cloths: seen.cloths.map((cloth) => ({ ...cloth, material: cloths[cloth.id] ?? cloth.material })),
      threads: seen.threads.map((thread) => ({ ...thread, ...threads[thread.id] }))
    };
  }
  const lacks = $derived(lacksOf(now, stash));
  const spools = $derived(threadsIn(stash));
  /** How each thread stands, the weakest of its stops on each cloth. */
  const standing = $derived.by(() => {
    const stops = shown.files.flatMap((file) => file.stops);
    return threadsOnCloth(coloured).reduce((words, { stepId, side, cloths }) => {
      const step = shown.steps.find(({ id }) => id === stepId);
      const threadId =
        step?.kind === 'stop' ? stops.find(({ id }) => id === step.stopId)?.threadId : undefined;
      if (threadId === undefined) return words;
      const own = cloths.map(
        ({ name, contrast }) => `${contrast} on ${name}${side === 'front' ? '' : `, ${side}`}`
      );
      return words.set(threadId, [...new Set([...(words.get(threadId) ?? []), ...own])]);
    }, new Map<string, string[]>());
  });
  const cloth = (id: string, material: Material): void =>
    onchange?.({ ...way, cloths: { ...way.cloths, [id]: material } });
  const thread = (id: string, chosen: Pick<Thread, 'name' | 'colour'>): void =>
    onchange?.({ ...way, threads: { ...way.threads, [id]: chosen } });
</script>

<article class="min-w-0 rounded-md border border-rule p-4" aria-label={title}>
  <div class="flex items-center">
    <h3 class="flex-1 text-lg">{title}</h3>
    {#if onremove}<button
        type="button"
        class="button button-quiet"
        aria-label="Remove {title}"
        onclick={onremove}><X size={18} aria-hidden="true" /></button
      >{/if}
  </div>
  <Pictures look={coloured} name="{item.name}, {title.toLowerCase()}" {unit} height="9rem" small />
  <ul class="mt-3 flex flex-col gap-2">
    {#each now.cloths as { id, material } (id)}
      <li>
        <ColourChoice
          what={material.name}
          label="Cloth, {seen.cloths.find((each) => each.id === id)?.material.name ?? ''}"
          colour={material.colour}
          offers={clothsLike(material, stash)}
          fixed={!onchange}
          onchoose={(chosen) => cloth(id, { kind: material.kind, ...chosen })}
        />
      </li>
    {/each}
    {#each now.threads as { id, name, colour } (id)}
      <li>
        <ColourChoice
          what="{name} thread"
          label="Thread, {seen.threads.find((each) => each.id === id)?.name ?? ''}"
          {colour}
          offers={spools}
          fixed={!onchange}
          onchoose={(chosen) => thread(id, chosen)}
        />
        {#if standing.get(id)}<p
            class="pl-8 text-[0.9375rem] {standing.get(id)?.some((words) => words.startsWith('hardly'))
              ? 'text-warn'
              : 'text-soft'}"
          >
            {standing.get(id)?.join(', ')}
          </p>{/if}
      </li>
    {/each}
  </ul>
  <p class="mt-3 text-[0.9375rem] {lacks.length > 0 ? 'text-warn' : 'text-soft'}">
    {lacks.length > 0 ? `Not in the stash: ${lacks.join(', ')}.` : 'All of it is in the stash.'}
  </p>
  {#if ontake}<button type="button" class="button button-main mt-3" onclick={ontake}
      >Take these colours</button
    >{/if}
</article>
