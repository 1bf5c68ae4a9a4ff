<script lang="ts">
  import type { PlacedArt } from '$lib/core/making/appearance';

  /** A design’s own picture, cropped, turned and true to size. */
  let { art, url }: { art: PlacedArt; url: string } = $props();

  /** Parts of the picture that are left, as shares of its sides. */
  const across = $derived(Math.max(0.02, 1 - art.crop.left - art.crop.right));
  const down = $derived(Math.max(0.02, 1 - art.crop.top - art.crop.bottom));
</script>

<g transform="translate({art.x} {art.y}) rotate({art.turn})">
  <svg
    x={-art.width / 2}
    y={-art.height / 2}
    width={art.width}
    height={art.height}
    viewBox="{art.crop.left} {art.crop.top} {across} {down}"
    preserveAspectRatio="none"
  >
    <image href={url} width="1" height="1" preserveAspectRatio="none" />
  </svg>
</g>
