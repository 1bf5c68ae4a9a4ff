<script lang="ts">
  import { formatMinutes } from '$lib/core/base/units';

  /** Seconds by kind; never one number for all. */
  let {
    hands,
    needle,
    waiting,
    size = 'large'
  }: { hands: number; needle: number; waiting: number; size?: 'large' | 'small' } = $props();
  const big = $derived(size === 'large' ? 'text-2xl' : 'text-lg');
  const gap = $derived(size === 'large' ? 'gap-x-8' : 'gap-x-4');
</script>

<dl class="flex flex-wrap items-baseline {gap} gap-y-1">
  {#each [['hands', hands, 'text-hands'], ['needle', needle, 'text-needle'], ['waiting', waiting, 'text-wait']] as const as [kind, seconds, colour] (kind)}
    <div class="flex items-baseline gap-2">
      <dt class="order-2 text-ink {size === 'small' ? 'text-sm' : ''}">{kind}</dt>
      <dd class="head {big} {colour}">{seconds === 0 ? '0' : formatMinutes(seconds)}</dd>
    </div>
  {/each}
</dl>
