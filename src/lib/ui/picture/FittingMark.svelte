<script lang="ts">
  import { type Fitting, FITTING_SIZES } from '$lib/core/making/appearance';

  /** A snap, eyelet, ring, loop or fastener where it sits, true to size. */
  let { fitting }: { fitting: Fitting } = $props();

  const METAL = '#a9a493';
  const DARK = '#6d6959';
  const half = $derived(FITTING_SIZES[fitting.kind].width / 2);
  const above = $derived(FITTING_SIZES[fitting.kind].above);
</script>

<g
  transform="translate({fitting.at[0]} {fitting.at[1]})"
  fill="none"
  stroke={DARK}
  stroke-width="0.5"
  data-fitting={fitting.kind}
>
  {#if fitting.kind === 'snap'}
    <circle r={half} fill={METAL} />
    <circle r={half * 0.55} fill="#c4bfae" />
  {:else if fitting.kind === 'eyelet'}
    <circle r={half * 0.75} stroke={METAL} stroke-width={half / 2} />
    <circle r={half} />
    <circle r={half / 2} />
  {:else if fitting.kind === 'split-ring'}
    <circle cy={-above / 2} r={half - 1.2} stroke={DARK} stroke-width="2.4" />
    <circle cy={-above / 2} r={half - 1.2} stroke={METAL} stroke-width="1.6" />
    <circle cy={-above / 2} r={half - 1.2} stroke-width="0.3" />
  {:else if fitting.kind === 'ribbon-loop'}
    <path d="M{-half} 3V{-above + half}a{half} {half} 0 0 1 {2 * half} 0V3z" fill="#b7876a" />
    <path d="M{-half} {-above + half}h{2 * half}" stroke-width="0.3" />
  {:else}
    <rect x={-half} y="-6" width={2 * half} height="12" fill="#3a3d44" />
    <path d="M{-half} -2h{2 * half}M{-half} 2h{2 * half}" stroke="#7d818a" stroke-dasharray="1 1" />
  {/if}
</g>
