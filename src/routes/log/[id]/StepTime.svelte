<script lang="ts">
  import { formatDuration, parseDuration } from '$lib/core/base/units';
  import type { ComparedStep } from '$lib/core/running/runs';
  import { clientId, mendTime } from '$lib/data';
  import { toast } from 'svelte-sonner';
  import { report } from '../../report';

  /** The time a step really took; pressed, it can be mended. */
  let { runId, compared }: { runId: string; compared: ComparedStep } = $props();

  let typing = $state(false);
  let problem = $state('');
  const called = $derived(`${compared.step.number}, ${compared.step.title}`);

  async function mend(text: string, now: number): Promise<void> {
    const seconds = parseDuration(text);
    if (seconds === undefined) {
      problem = `“${text}” is no time. Try 12 min, 1 h 10 or 90 s.`;
      return;
    }
    problem = '';
    typing = false;
    if (seconds === Math.round(now)) return;
    const stepId = compared.step.id;
    await keep(stepId, seconds, () => void keep(stepId, now));
  }
  async function keep(stepId: string, seconds: number, back?: () => void): Promise<void> {
    try {
      await mendTime(runId, stepId, seconds, Date.now(), clientId());
      toast(
        `The step took ${formatDuration(seconds)} now.`,
        back && { action: { label: 'Undo', onClick: back } }
      );
    } catch (error) {
      report(error, 'The time is not mended.');
    }
  }
</script>

{#if compared.actual === null}
  not reached
{:else if typing}
  {@const now = compared.actual}
  <!-- svelte-ignore a11y_autofocus -->
  <input
    class="field w-28 text-right"
    aria-label="Time of step {called}"
    aria-invalid={problem !== ''}
    value={formatDuration(now)}
    autofocus
    onchange={(event) => void mend(event.currentTarget.value, now)}
    onblur={() => (typing = false)}
    onkeydown={(event) => {
      if (event.key === 'Escape') typing = false;
    }}
  />
{:else}
  <button
    type="button"
    class="min-h-11 underline decoration-dotted underline-offset-4 {compared.doubted ? 'text-hands' : ''}"
    aria-label="Mend the time of step {called}: {formatDuration(compared.actual)}"
    title={compared.doubted ? 'Nothing is learned from this time. Press to mend it.' : 'Press to mend it'}
    onclick={() => (typing = true)}
    >{formatDuration(compared.actual)}{#if compared.doubted}<span class="block text-sm font-normal"
        >not learned from</span
      >{/if}</button
  >
{/if}
{#if problem}<span class="block text-sm text-hands" role="alert">{problem}</span>{/if}
