<script lang="ts">
  /** The end of a long list: shows more of it when it comes into view, or when pressed. */
  interface Props {
    left: number;
    onmore: () => void;
  }
  let { left, onmore }: Props = $props();
  let button = $state<HTMLButtonElement>();

  $effect(() => {
    if (!button) return;
    const watching = new IntersectionObserver(
      (entries) => {
        if (entries.some(({ isIntersecting }) => isIntersecting)) onmore();
      },
      { rootMargin: '600px' }
    );
    watching.observe(button);
    return () => watching.disconnect();
  });
</script>

{#if left > 0}
  <!-- A new button each time, so that one still in view asks again. -->
  {#key left}
    <button bind:this={button} type="button" class="button button-quiet mt-4" onclick={onmore}
      >{left.toLocaleString('en')} more</button
    >
  {/key}
{/if}
