<script lang="ts" module>
  /** How layers are shown, on every page until it is changed. */
  const shown = $state<{ as: 'angle' | 'side' }>({ as: 'angle' });
</script>

<script lang="ts">
  import type { Item } from '$lib/core/documents/item';
  import { prefersReducedMotion } from 'svelte/motion';
  import type { StackStep } from '$lib/core/craft/stack';
  import AngleView from '$lib/ui/angle/AngleView.svelte';
  import { angleScene } from '$lib/ui/angle/scene';
  import { stackScene } from './scene';
  import StackView from './StackView.svelte';

  /** What lies in the hoop after a step: the layers apart at an angle, or from the side. */
  interface Props {
    item: Item;
    stack: StackStep;
    /** What lay there before, shown beside it where nothing may move. */
    before?: StackStep | undefined;
    ring: { width: number; height: number };
    /** Width of the drawing, dots. */
    width?: number;
  }
  let { item, stack, before, ring, width = 250 }: Props = $props();

  const side = $derived(stackScene(item, stack, ring.width));
  const angle = $derived(angleScene(item, stack, ring, width));
  const WAYS = [
    ['angle', 'At an angle'],
    ['side', 'From the side']
  ] as const;
</script>

{#if side.rows.length > 0}
  <div class="mb-1 flex gap-1" role="group" aria-label="How the layers are shown">
    {#each WAYS as [as, words] (as)}
      <button
        type="button"
        class="min-h-11 px-2 text-sm {shown.as === as ? 'font-bold underline' : 'text-soft'}"
        aria-pressed={shown.as === as}
        onclick={() => (shown.as = as)}>{words}</button
      >
    {/each}
  </div>
  {#if shown.as === 'side'}<StackView scene={side} />
  {:else}
    {#if side.ends.length > 0}
      <dl class="mb-2 grid grid-cols-[auto_1fr] gap-x-4 text-[0.9375rem] leading-snug">
        {#each side.ends as { label, text } (label)}
          <dt class="text-soft">{label}</dt>
          <dd class="font-semibold">{text}</dd>
        {/each}
      </dl>
    {/if}
    {#if prefersReducedMotion.current && before && angle.motion && angle.motion !== 'lay'}
      <p class="text-sm text-soft">Before</p>
      <AngleView scene={angleScene(item, before, ring, width * 0.7)} />
      <p class="text-sm text-soft">After</p>
    {/if}
    {#key stack.stepId}<AngleView scene={angle} />{/key}
  {/if}
{/if}
