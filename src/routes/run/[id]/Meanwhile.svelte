<script lang="ts">
  import { meanwhile } from '$lib/core/ordering/week';
  import { live, weekKept } from '$lib/data';
  import { format } from 'date-fns';
  import { taskHref } from '../../taskHref';

  /** What hands can do elsewhere until the machine needs them, as the week was planned last: it leads there. */
  interface Props {
    runId: string;
    machine: string;
    /** s */
    seconds: number;
  }
  let { runId, machine, seconds }: Props = $props();

  const kept = live(() => null, weekKept);
  const next = $derived(
    kept.value && meanwhile(kept.value, format(new Date(), "yyyy-MM-dd'T'HH:mm"), { runId, machine, seconds })
  );
</script>

<p class="line-clamp-2 font-bold {next ? 'text-hands' : 'text-needle'}">
  {#if next}meanwhile: <a class="underline" href={taskHref(next)} title="{next.title}, {next.place}"
      >{next.title}</a
    >
  {:else}you may leave it{/if}
</p>
