<script lang="ts">
  import { GLOSSARY } from '$lib/core/craft/operations';

  let asked = $state('');
  const words = $derived(
    [...GLOSSARY]
      .sort((a, b) => a.word.localeCompare(b.word))
      .filter(({ word, meaning }) => `${word} ${meaning}`.toLowerCase().includes(asked.trim().toLowerCase()))
  );
</script>

<svelte:head><title>Words · Jolt Step</title></svelte:head>

<div class="flex flex-wrap items-end gap-4">
  <div class="mr-auto">
    <a class="flex min-h-11 items-center text-soft underline" href="/guide">Guide</a>
    <h1 class="text-3xl">Words</h1>
  </div>
  <label class="flex flex-col gap-1"
    ><span class="label">Look for a word</span><input
      class="field w-60"
      type="search"
      bind:value={asked}
    /></label
  >
</div>
<dl class="mt-4 max-w-4xl border-t-[1.5px] border-ink">
  {#each words as { word, meaning } (word)}
    <div class="flex gap-4 border-b border-rule py-2.5 text-lg max-[700px]:flex-col max-[700px]:gap-1">
      <dt class="w-44 shrink-0 font-bold">{word}</dt>
      <dd class="leading-snug">{meaning}</dd>
    </div>
  {/each}
</dl>
{#if words.length === 0}<p class="mt-4 text-lg text-soft" role="status">
    No word of the sheets has “{asked}” in it.
  </p>{/if}
