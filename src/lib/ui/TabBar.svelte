<script lang="ts">
  import { Tabs } from 'bits-ui';

  /** The names of the parts of a page, the chosen one underlined; inside a `Tabs.Root`. */
  let { label, tabs }: { label: string; tabs: readonly (readonly [value: string, words: string])[] } =
    $props();
</script>

<Tabs.List class="flex flex-wrap gap-x-6 border-b-[1.5px] border-ink" aria-label={label}>
  {#each tabs as [value, words] (value)}
    <Tabs.Trigger
      {value}
      class="min-h-11 border-b-[4px] border-transparent text-lg text-soft data-[state=active]:border-ink data-[state=active]:font-bold data-[state=active]:text-ink"
      >{words}</Tabs.Trigger
    >
  {/each}
</Tabs.List>
