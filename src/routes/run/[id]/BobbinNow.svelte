<script lang="ts">
  import { formatThread } from '$lib/core/base/units';
  import type { Plan } from '$lib/core/documents/plan';
  import type { BobbinKind, BobbinOn } from '$lib/core/documents/shop';
  import { USUAL } from '$lib/core/preparing/threads';

  /** Asks what is in the machine now: which bobbin, wound with what, how full. */
  interface Props {
    plan: Plan;
    kinds: readonly BobbinKind[];
    /** What bobbins are usually wound with. */
    usual: string;
    on: BobbinOn | undefined;
    onbobbin: (kind: BobbinKind, on: BobbinOn | undefined) => void;
  }
  let { plan, kinds, usual, on, onbobbin }: Props = $props();

  const FILLS = [
    [1, 'full'],
    [0.75, 'three quarters full'],
    [0.5, 'half full'],
    [0.25, 'a quarter full'],
    [0.05, 'nearly empty']
  ] as const;
  const kind = $derived(plan.bobbin);
  /** The fill nearest to what is known. */
  const fill = $derived(
    on
      ? FILLS.reduce((best, each) =>
          Math.abs(each[0] * kind.metres - on.metres) < Math.abs(best[0] * kind.metres - on.metres)
            ? each
            : best
        )[0]
      : 1
  );
  const wound = (threadId: string, share: number, own = kind): void =>
    onbobbin(own, { threadId, metres: Math.round(own.metres * share * 10) / 10 });
</script>

<fieldset class="asked">
  <legend class="sr-only">In the machine now</legend>
  <span class="text-soft">in it now</span>
  <select
    class="field min-w-0"
    aria-label="Which bobbins"
    value={kind.id}
    onchange={(event) => {
      const own = kinds.find(({ id }) => id === event.currentTarget.value);
      if (own) onbobbin(own, on && { ...on, metres: own.metres * fill });
    }}
  >
    {#each kinds as { id, name, metres } (id)}<option value={id}
        >{name}, {formatThread(metres, plan.unit, true)}</option
      >{/each}
  </select>
  <select
    class="field min-w-0"
    aria-label="Wound with"
    value={on ? `on ${on.threadId}` : 'none'}
    onchange={(event) => {
      const chosen = event.currentTarget.value;
      if (chosen === 'none') onbobbin(kind, undefined);
      else wound(chosen.slice(3), fill);
    }}
  >
    <option value="none">none, or not known</option>
    <option value="on {USUAL}">{usual}</option>
    {#each plan.threads as { thread } (thread.id)}<option value="on {thread.id}">{thread.name}</option>{/each}
  </select>
  {#if on}
    <select
      class="field min-w-0"
      aria-label="How full"
      value={fill}
      onchange={(event) => wound(on.threadId, Number(event.currentTarget.value))}
    >
      {#each FILLS as [share, words] (share)}<option value={share}>{words}</option>{/each}
    </select>
  {/if}
</fieldset>

<style>
  .asked {
    display: grid;
    grid-template-columns: auto minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1fr);
    gap: 0.5rem;
    align-items: center;
    padding: 0.35rem 0 0.35rem 0.25rem;
  }
</style>
