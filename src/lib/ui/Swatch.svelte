<script lang="ts">
  let { colour, class: extra = '' }: { colour: string; class?: string } = $props();
</script>

<svg class="swatch {extra}" viewBox="0 0 28 20" preserveAspectRatio="none" aria-hidden="true"
  ><rect width="28" height="20" fill={colour} /></svg
>
