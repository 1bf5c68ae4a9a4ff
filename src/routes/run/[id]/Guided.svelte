<script lang="ts">
  /** Numbered sentences to work through at the machine, with a stitch number where one is worth asking for. */
  interface Props {
    label: string;
    title: string;
    steps: readonly string[];
    /** Highest stitch number that makes sense; null where none is asked for. */
    stitches?: number | null;
    typed?: string;
    /** Why what is typed is no stitch number of this stop. */
    problem?: string | null;
    onenter?: () => void;
  }
  let {
    label,
    title,
    steps,
    stitches = null,
    typed = $bindable(''),
    problem = null,
    onenter
  }: Props = $props();
</script>

<section class="guided" aria-live="assertive">
  <p class="head inline-block rounded bg-hands px-4 py-1.5 text-2xl text-on-hands">{label}</p>
  <h2 class="mt-3 text-[clamp(2.25rem,4.6vw,3.5rem)] leading-none">{title}</h2>
  <ol class="mt-4 flex flex-col gap-2.5">
    {#each steps as step, at (at)}
      <li class="flex items-baseline gap-4 text-[clamp(1.25rem,2vw,1.55rem)] leading-snug">
        <span class="head w-8 shrink-0 text-right">{at + 1}</span><span>{step}</span>
      </li>
    {/each}
  </ol>
  {#if stitches !== null}
    <label class="mt-4 flex flex-wrap items-center gap-3 text-lg">
      <span class="text-soft"
        >Stitch number{stitches > 0 ? `, of ${stitches.toLocaleString('en')}` : ''}, if you know it</span
      >
      <input
        class="field min-h-16 w-40 text-2xl"
        inputmode="numeric"
        maxlength="12"
        autocomplete="off"
        aria-invalid={problem !== null}
        bind:value={typed}
        onkeydown={(event) => event.key === 'Enter' && onenter?.()}
      />
      {#if problem}<span class="text-hands">{problem}</span>{/if}
    </label>
  {/if}
</section>

<style>
  .guided {
    min-height: 0;
    overflow: hidden;
  }
</style>
