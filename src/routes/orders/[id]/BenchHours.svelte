<script lang="ts">
  import type { Bench } from '$lib/core/documents/shop';
  import { toast } from 'svelte-sonner';

  /** The hours hands are at the bench, the break, and the days. */
  let { bench, onchange }: { bench: Bench; onchange: (bench: Bench) => void } = $props();

  const DAYS = [
    [1, 'Mon'],
    [2, 'Tue'],
    [3, 'Wed'],
    [4, 'Thu'],
    [5, 'Fri'],
    [6, 'Sat'],
    [0, 'Sun']
  ] as const;
  const say = (minutes: number): string =>
    `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
  const read = (text: string): number | null =>
    /^\d{2}:\d{2}$/.test(text) ? Number(text.slice(0, 2)) * 60 + Number(text.slice(3)) : null;
  const pause = $derived(bench.breaks[0]);

  function hours(change: Partial<Bench>): void {
    const next = { ...bench, ...change };
    const wrong = next.to <= next.from || next.breaks.some(({ from, to }) => to <= from);
    if (wrong) toast.error('The end must be later than the beginning. Nothing was changed.');
    else onchange(next);
  }
  function breaks(from: number | null, to: number | null): void {
    hours({ breaks: from === null || to === null ? [] : [{ from, to }] });
  }
</script>

<fieldset>
  <legend class="label">At the bench</legend>
  <div class="flex items-center gap-2">
    <input
      class="field w-32"
      type="time"
      aria-label="Bench opens"
      value={say(bench.from)}
      onchange={({ currentTarget }) => {
        const at = read(currentTarget.value);
        if (at !== null) hours({ from: at });
      }}
    />
    to
    <input
      class="field w-32"
      type="time"
      aria-label="Bench closes"
      value={say(bench.to)}
      onchange={({ currentTarget }) => {
        const at = read(currentTarget.value);
        if (at !== null) hours({ to: at });
      }}
    />
  </div>
  <div class="mt-2 flex items-center gap-2">
    <input
      class="field w-32"
      type="time"
      aria-label="Break begins"
      value={pause ? say(pause.from) : ''}
      onchange={({ currentTarget }) => {
        const at = read(currentTarget.value);
        breaks(at, at === null ? null : Math.max(pause?.to ?? 0, at + 30));
      }}
    />
    to
    <input
      class="field w-32"
      type="time"
      aria-label="Break ends"
      value={pause ? say(pause.to) : ''}
      onchange={({ currentTarget }) => {
        const at = read(currentTarget.value);
        breaks(pause?.from ?? null, at);
      }}
    />
    break
  </div>
  <div class="mt-2 flex flex-wrap gap-1" role="group" aria-label="Days">
    {#each DAYS as [day, name] (day)}
      {@const on = bench.days.includes(day)}
      <button
        type="button"
        class="min-h-11 min-w-11 rounded border-[1.5px] px-1 {on
          ? 'border-ink bg-ink text-ground'
          : 'border-rule-strong text-soft'}"
        aria-pressed={on}
        onclick={() => {
          const days = on ? bench.days.filter((each) => each !== day) : [...bench.days, day];
          if (days.length > 0) onchange({ ...bench, days });
        }}>{name}</button
      >
    {/each}
  </div>
</fieldset>
