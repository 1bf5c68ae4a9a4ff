<script lang="ts">
  import type { StartCheck } from '$lib/core/running/runs';
  import { Check } from '@lucide/svelte';
  import type { Snippet } from 'svelte';

  /** What to look at before the start, big enough to tick with an elbow. */
  interface Props {
    checks: readonly StartCheck[];
    ticked: readonly string[];
    ontick: (id: string, on: boolean) => void;
    /** What is asked about the bobbin in the machine. */
    bobbin: Snippet;
  }
  let { checks, ticked, ontick, bobbin }: Props = $props();
</script>

<section class="list" aria-label="Before the start">
  {#each checks as { id, title, detail, spools } (id)}
    {@const on = ticked.includes(id)}
    <div class={id === 'bobbin' ? 'asks' : ''}>
      <button type="button" class="check" aria-pressed={on} onclick={() => ontick(id, !on)}>
        <span class="box"
          >{#if on}<Check size={30} strokeWidth={3} aria-hidden="true" />{/if}</span
        >
        <span class="min-w-0 text-left">
          <span class="head block text-[1.3rem] leading-tight">{title}</span>
          {#if spools && spools.length > 0}
            <span class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
              {#each spools as spool, at (at)}
                <span class="flex items-center gap-1.5"
                  ><svg width="26" height="20" aria-hidden="true"
                    ><rect
                      x="1"
                      y="1"
                      width="24"
                      height="18"
                      rx="3"
                      fill={spool.colour}
                      stroke="var(--edge)"
                      stroke-width="1.5"
                    /></svg
                  >{spool.name}</span
                >
              {/each}
            </span>
          {/if}
          {#if detail}<span class="block leading-snug text-soft">{detail}</span>{/if}
        </span>
      </button>
      {#if id === 'bobbin'}{@render bobbin()}{/if}
    </div>
  {/each}
</section>

<style>
  .list {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0.5rem 1.5rem;
    align-content: start;
    min-height: 0;
    overflow-y: auto;
  }
  .check {
    display: flex;
    align-items: flex-start;
    gap: 0.9rem;
    width: 100%;
    min-height: 64px;
    padding: 0.6rem 0.25rem;
    border-bottom: 1.5px solid var(--rule);
  }
  .box {
    display: grid;
    flex: none;
    place-items: center;
    width: 44px;
    height: 44px;
    border: 2.5px solid var(--ink);
    border-radius: 6px;
  }
  [aria-pressed='true'] .box {
    background: var(--needle);
    border-color: var(--needle);
    color: var(--ground);
  }
  @media (orientation: portrait) {
    .list {
      grid-template-columns: minmax(0, 1fr);
      gap: 0.25rem;
    }
  }
</style>
