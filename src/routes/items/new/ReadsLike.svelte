<script lang="ts">
  /** What a chart reads like, and what it lacks for that. */
  interface Props {
    name: string;
    construction: string;
    size: string | undefined;
    hoop: string | undefined;
    turned: boolean;
    /** Stops it needs that the chart does not have. */
    needed: number;
  }
  let { name, construction, size, hoop, turned, needed }: Props = $props();
</script>

<p class="w-full text-lg">
  {name || 'It'} reads like a {construction.toLowerCase()}{size ? `, ${size}` : ''}{hoop
    ? `, in ${hoop}${turned ? ', turned a quarter' : ''}`
    : ''}.&#32;{#if needed > 0}
    <span class="text-warn"
      >{needed === 1 ? 'One stop' : `${needed} stops`} it needs {needed === 1 ? 'is' : 'are'} not in the chart.</span
    >{/if}
</p>
