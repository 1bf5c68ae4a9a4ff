<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A button that lets a file be chosen. The same file can be chosen again. */
  interface Props {
    /** What is chosen, for who hears the page. */
    label: string;
    accept?: string;
    multiple?: boolean;
    disabled?: boolean;
    class?: string;
    onfiles: (files: File[]) => void;
    children: Snippet;
  }
  let {
    label,
    accept,
    multiple = false,
    disabled = false,
    class: look = 'button',
    onfiles,
    children
  }: Props = $props();
  let input = $state<HTMLInputElement>();
</script>

<button type="button" class={look} {disabled} onclick={() => input?.click()}>{@render children()}</button>
<input
  bind:this={input}
  type="file"
  {accept}
  {multiple}
  class="hidden"
  aria-label={label}
  onchange={(event) => {
    const files = [...(event.currentTarget.files ?? [])];
    event.currentTarget.value = '';
    if (files.length > 0) onfiles(files);
  }}
/>
