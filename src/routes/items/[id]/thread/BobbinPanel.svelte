<script lang="ts">
  import { formatThread } from '$lib/core/base/units';
  import type { Plan } from '$lib/core/documents/plan';
  import type { BobbinKind, BobbinOn } from '$lib/core/documents/shop';
  import {
    bobbinColourName,
    type ItemBobbins,
    type PlannedBobbin,
    type StitchPlace,
    type ToWind,
    USUAL
  } from '$lib/core/preparing/threads';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import Swatch from '$lib/ui/Swatch.svelte';
  import { Disc3 } from '@lucide/svelte';

  /** Which bobbin goes on when, what to wind before, and what is known of the one in the machine. */
  interface Props {
    bobbins: ItemBobbins;
    /** To wind for all copies on all heads. */
    wind: readonly ToWind[];
    heads: number;
    plan: Plan;
    kinds: readonly BobbinKind[];
    usual: string;
    on: BobbinOn | undefined;
    colourOf: (colour: string) => string;
    onkind: (id: string) => void;
    onmetres: (metres: number) => void;
    onon: (on: BobbinOn | undefined) => void;
    onput: () => void;
  }
  let { bobbins, wind, heads, plan, kinds, usual, on, colourOf, onkind, onmetres, onon, onput }: Props =
    $props();

  const name = (colour: string): string => bobbinColourName(colour, plan, usual);
  const kind = $derived(plan.bobbin);
  const place = ({ copy, stop, stitch }: StitchPlace): string =>
    `stop ${stop}${stitch > 0 ? `, stitch ${stitch.toLocaleString('en')}` : ''}${bobbins.copies > 1 ? `, copy ${copy}` : ''}`;
  const stopOf = ({ stepId }: PlannedBobbin): number =>
    plan.steps.find(({ id }) => id === stepId)?.stop?.machineNumber ?? 0;
  const copyOf = ({ copy }: PlannedBobbin): string => (bobbins.copies > 1 ? ` of copy ${copy}` : '');

  function words(change: PlannedBobbin): { title: string; detail: string } {
    const { why, full, metres, leaves, runOut, halt } = change;
    const what = `${full ? 'a full bobbin' : `the one that came off, ${formatThread(metres, plan.unit)} left`} in ${name(change.colour)}`;
    const at = `stop ${stopOf(change)}${copyOf(change)}`;
    if (why === 'start') return { title: `Before you start: ${what}`, detail: '' };
    if (why === 'planned halt')
      return {
        title: `Halt inside ${at}: ${what}`,
        detail: `It takes more than a full bobbin. Halt at about stitch ${halt?.stitch.toLocaleString('en') ?? '?'}, ${halt?.where ?? ''}.`
      };
    if (why === 'runs out')
      return {
        title: runOut?.expected
          ? `Runs out in about ${place(runOut.expected)}: ${what}`
          : `May run out from ${place(runOut?.earliest ?? NOWHERE)} on: ${what}`,
        detail: [
          runOut?.expected ? `From ${place(runOut.earliest)} on be ready for it.` : '',
          runOut?.before ? `Change it before ${place({ ...runOut.before, stitch: 0 })} at the latest.` : ''
        ].join(' ')
      };
    return {
      title: `Before ${at}: ${what}`,
      detail:
        why === 'colour'
          ? `The back is seen there. ${formatThread(leaves ?? 0, plan.unit)} stay on the one that comes off.`
          : `The ${formatThread(leaves ?? 0, plan.unit)} left may not last through it.`
    };
  }
  const NOWHERE: StitchPlace = { copy: 1, stepId: '', stop: 0, stitch: 0, of: 0 };
  const used = $derived(
    plan.steps.reduce((sum, { stop }) => sum + (stop?.bobbinMetres ?? 0), 0) * bobbins.use.factor
  );
</script>

<div class="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1">
  <div>
    <h3 class="text-lg">
      Wind before you start{bobbins.copies > 1 ? `, for ${bobbins.copies} copies` : ''}{heads > 1
        ? ` on each of ${heads} heads`
        : ''}
    </h3>
    <ul class="mt-1 flex flex-wrap gap-x-6 gap-y-1 text-lg">
      {#each wind as { colour, count } (colour)}
        <li class="flex items-center gap-2">
          <Disc3 size={20} aria-hidden="true" /><span class="head text-2xl">{count}</span> × {name(colour)}
          <Swatch colour={colourOf(colour)} />
        </li>
      {:else}<li class="text-soft">none: the one in the machine lasts</li>{/each}
    </ul>
    <ol class="mt-3 border-t-[1.5px] border-ink">
      {#each bobbins.changes as change, at (at)}
        {@const said = words(change)}
        <li class="border-b border-rule py-2">
          <p class="font-bold">{said.title}</p>
          {#if said.detail.trim()}<p class="text-soft">{said.detail}</p>{/if}
        </li>
      {/each}
    </ol>
    {#if bobbins.changes.some(({ why }) => why !== 'start') || bobbins.changes.some(({ colour }) => colour !== USUAL)}
      <button type="button" class="button button-main mt-3" onclick={onput}>Put these into the sheet</button>
    {/if}
  </div>
  <div class="flex flex-col gap-4">
    <div class="flex flex-wrap gap-4">
      <div class="flex flex-col gap-1">
        <label class="label" for="bobbin-kind">Your bobbins</label>
        <select
          id="bobbin-kind"
          class="field"
          value={kind.id}
          onchange={(event) => onkind(event.currentTarget.value)}
        >
          {#each kinds as { id, name: words, metres } (id)}<option value={id}
              >{words}, {formatThread(metres, plan.unit, true)}</option
            >{/each}
        </select>
      </div>
      <NumberField
        label="A full one holds, m"
        value={kind.metres}
        onchange={(metres) => metres && onmetres(metres)}
      />
    </div>
    <fieldset class="flex flex-wrap items-end gap-4">
      <legend class="label mb-1">In the machine now</legend>
      <div class="flex flex-col gap-1">
        <label class="text-sm text-soft" for="bobbin-on">Wound with</label>
        <select
          id="bobbin-on"
          class="field"
          value={on ? `on ${on.threadId}` : 'none'}
          onchange={(event) => {
            const chosen = event.currentTarget.value;
            onon(
              chosen === 'none' ? undefined : { threadId: chosen.slice(3), metres: on?.metres ?? kind.metres }
            );
          }}
        >
          <option value="none">none, or not known</option>
          <option value="on {USUAL}">{usual}</option>
          {#each plan.threads as { thread } (thread.id)}<option value="on {thread.id}">{thread.name}</option
            >{/each}
        </select>
      </div>
      {#if on}<NumberField
          label="With so much left, m"
          value={on.metres}
          onchange={(metres) => onon({ ...on, metres: Math.max(0, metres ?? 0) })}
        />{/if}
    </fieldset>
    <p class="text-soft">
      One copy takes about {formatThread(used, plan.unit)} from the bobbin. Planned so that a stop may take
      {Math.round(bobbins.use.margin * 100)} % more: {bobbins.use.samples === 0
        ? 'no run-out is logged yet, and each one logged narrows it.'
        : `learned from ${bobbins.use.samples} logged ${bobbins.use.samples === 1 ? 'run-out' : 'run-outs'}.`}
    </p>
    <p class="text-soft">
      {bobbins.leftBehind < 0.05
        ? 'Every bobbin is used up before it comes off.'
        : `${formatThread(bobbins.leftBehind, plan.unit)} stay on bobbins that do not go on again.`}
      {bobbins.proven
        ? 'No plan needs fewer bobbins, or leaves less on them.'
        : 'The best found; not proven.'}
    </p>
  </div>
</div>
