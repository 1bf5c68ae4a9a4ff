<script lang="ts">
  import type { Path } from '$lib/core/base/geometry';
  import { impossible } from '$lib/core/base/problems';
  import { type LengthUnit, saidIn } from '$lib/core/base/units';
  import type { Question } from '$lib/core/craft/sequence';
  import { chosenOutline } from '$lib/core/reading/papers';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { Plus, X } from '@lucide/svelte';

  /** One question of a construction. Answers are checked by the construction, not here. */
  interface Props {
    question: Question;
    unit: LengthUnit;
    value: unknown;
    /** Outlines the maker has drawn, where a shape is asked. */
    drawn?: { name: string; path: Path }[];
    onanswer: (value: unknown) => void;
  }
  let { question, unit, value, drawn = [], onanswer }: Props = $props();

  type Colour = { name: string; colour: string };
  const id = $props.id();
  const help = $derived(question.help === undefined ? undefined : saidIn(question.help, unit));
  const material = $derived(value as Colour & { kind: string });
  const thread = $derived(value as Colour);
  const threads = $derived(Array.isArray(value) ? (value as Colour[]) : []);

  function replaceThread(at: number, change: Partial<Colour>): void {
    onanswer(threads.map((other, index) => (index === at ? { ...other, ...change } : other)));
  }
</script>

{#snippet naming(what: string, current: Colour, take: (change: Partial<Colour>) => void)}
  <input
    class="field w-36"
    aria-label="{what}, name"
    maxlength="80"
    value={current.name}
    onchange={(event) => take({ name: event.currentTarget.value })}
  />
  <input
    type="color"
    class="h-11 w-12"
    aria-label="{what}, colour"
    value={current.colour}
    onchange={(event) => take({ colour: event.currentTarget.value })}
  />
{/snippet}

{#if question.kind === 'length'}
  <LengthField
    label={question.label}
    {help}
    {unit}
    value={Number(value)}
    least={question.least}
    most={question.most}
    onchange={onanswer}
  />
{:else if question.kind === 'number'}
  <NumberField
    label={question.label}
    {help}
    value={Number(value)}
    least={question.least}
    most={question.most}
    onchange={onanswer}
    class="w-28"
  />
{:else if question.kind === 'text'}
  <div class="flex flex-col gap-1">
    <label class="label" for={id}>{question.label}</label>
    <input
      {id}
      class="field"
      maxlength="80"
      value={String(value)}
      onchange={(event) => onanswer(event.currentTarget.value)}
    />
  </div>
{:else if question.kind === 'choice' || question.kind === 'outline'}
  <div class="flex max-w-full min-w-0 flex-col gap-1">
    <label class="label" for={id}>{question.label}</label>
    <select
      {id}
      class="field max-w-full"
      value={typeof value === 'object'
        ? `drawn-${drawn.findIndex((each) => each === chosenOutline(drawn, value))}`
        : String(value)}
      onchange={({ currentTarget }) => {
        const at = /^drawn-(\d+)$/.exec(currentTarget.value)?.[1];
        const outline = at === undefined ? undefined : drawn[Number(at)];
        onanswer(outline ? { drawn: outline.path } : currentTarget.value);
      }}
    >
      {#each question.options as option (option.value)}<option value={option.value}>{option.label}</option
        >{/each}
      {#if question.kind === 'outline'}{#each drawn as { name }, at (at)}<option value="drawn-{at}"
            >Drawn: {name}</option
          >{/each}{/if}
    </select>
    {#if help}<p class="text-sm text-soft">{help}</p>{/if}
  </div>
{:else if question.kind === 'material'}
  <fieldset>
    <legend class="label mb-1">{question.label}</legend>
    <div class="flex flex-wrap gap-2">
      <select
        class="field max-w-full"
        aria-label="{question.label}, kind"
        value={material.kind}
        onchange={(event) => {
          const kind = event.currentTarget.value;
          onanswer({
            ...material,
            kind,
            name: question.kinds.find((option) => option.value === kind)?.label ?? kind
          });
        }}
      >
        {#each question.kinds as option (option.value)}<option value={option.value}>{option.label}</option
          >{/each}
      </select>
      {@render naming(question.label, material, (change) => onanswer({ ...material, ...change }))}
    </div>
    {#if help}<p class="mt-1 text-sm text-soft">{help}</p>{/if}
  </fieldset>
{:else if question.kind === 'thread'}
  <fieldset>
    <legend class="label mb-1">{question.label}</legend>
    <div class="flex gap-2">
      {@render naming(question.label, thread, (change) => onanswer({ ...thread, ...change }))}
    </div>
  </fieldset>
{:else if question.kind === 'threads'}
  <fieldset>
    <legend class="label mb-1">{question.label}</legend>
    <div class="flex flex-wrap gap-2">
      {#each threads as current, at (at)}
        <div class="flex gap-1">
          {@render naming(`Colour ${at + 1}`, current, (change) => replaceThread(at, change))}
          <button
            type="button"
            class="button button-quiet"
            aria-label="Take colour {at + 1} out"
            onclick={() => onanswer(threads.filter((_, index) => index !== at))}
            ><X size={18} aria-hidden="true" /></button
          >
        </div>
      {/each}
      <button
        type="button"
        class="button"
        onclick={() => onanswer([...threads, { name: `Colour ${threads.length + 1}`, colour: '#c96f80' }])}
        ><Plus size={18} aria-hidden="true" />Colour</button
      >
    </div>
  </fieldset>
{:else}{impossible(question.kind)}{/if}
