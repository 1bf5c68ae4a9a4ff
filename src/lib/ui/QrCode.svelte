<script lang="ts">
  import { encode } from 'uqr';

  /** A text as a QR code, dark on light in both themes, since cameras read it only so. */
  let { text, words }: { text: string; words: string } = $props();
  const code = $derived(encode(text, { border: 2 }));
  const cells = $derived(
    code.data.flatMap((row, y) => row.map((dark, x) => (dark ? `M${x} ${y}h1v1h-1z` : ''))).join('')
  );
</script>

<svg viewBox="0 0 {code.size} {code.size}" role="img" aria-label={words} class="h-56 w-56 rounded bg-white">
  <path d={cells} fill="#000000" />
</svg>
