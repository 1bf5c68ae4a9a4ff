<script lang="ts">
  import { page } from '$app/state';
  import { formatSize, otherUnit } from '$lib/core/base/units';
  import type { Plan } from '$lib/core/documents/plan';
  import type { Snippet } from 'svelte';

  let { plan, children }: { plan: Plan; children?: Snippet } = $props();
  const base = $derived(`/items/${plan.itemId}`);
  const tabs = $derived([
    { href: base, name: 'Sheet' },
    { href: `${base}/blocks`, name: 'Build' },
    { href: `${base}/colours`, name: 'Colours' },
    { href: `${base}/cut`, name: 'Cut' },
    { href: `${base}/thread`, name: 'Thread' },
    { href: `${base}/time`, name: 'Time' },
    { href: `${base}/templates`, name: 'Templates' }
  ]);
</script>

<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
  <h1 class="min-w-0 text-2xl leading-tight">{plan.itemName}</h1>
  <p class="text-[0.9375rem] text-soft" title={formatSize(plan.finished, otherUnit(plan.unit))}>
    {#if plan.variant.name !== 'As drawn'}{plan.variant.name} ·{/if}
    finished {formatSize(plan.finished, plan.unit)} · {plan.hoop.name.toLowerCase()}
    {formatSize(plan.hoop.field, plan.unit)} · {plan.machine.name.toLowerCase()}
  </p>
  <nav aria-label="Pages of this item" class="no-print ml-auto flex flex-wrap gap-x-4">
    {#each tabs as { href, name } (href)}
      {@const here = page.url.pathname === href}
      <a
        {href}
        aria-current={here ? 'page' : undefined}
        class="flex min-h-11 items-center border-b-[3px] {here
          ? 'border-ink font-bold'
          : 'border-transparent text-soft hover:text-ink'}">{name}</a
      >
    {/each}
  </nav>
  {@render children?.()}
</header>
