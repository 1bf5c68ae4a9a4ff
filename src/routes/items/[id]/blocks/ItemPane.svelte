<script lang="ts">
  import { formatSize } from '$lib/core/base/units';
  import type { AnyConstruction } from '$lib/core/craft/constructions';
  import { isAsked, withUsual } from '$lib/core/craft/sequence';
  import { type Item, removeVariant, renameVariant } from '$lib/core/documents/item';
  import type { Setup, Shop } from '$lib/core/documents/shop';
  import QuestionField from '$lib/ui/fields/QuestionField.svelte';
  import KeepPattern from './KeepPattern.svelte';
  import { Trash2 } from '@lucide/svelte';

  /** The item as a whole: its name, its variants, and the answers its construction was given. */
  interface Props {
    item: Item;
    shop: Shop;
    setup: Setup;
    construction: AnyConstruction | undefined;
    onedit: (change: (item: Item) => Item, said?: string) => void;
    onanswers: (answers: Record<string, unknown>) => void;
  }
  let { item, shop, setup, construction, onedit, onanswers }: Props = $props();

  let keeping = $state(false);
  const charted = $derived(item.files.some(({ stops }) => stops.some(({ chart }) => chart !== undefined)));
  const questions = $derived(
    (construction?.questions ?? []).filter(
      (question) => isAsked(question, given) && !(charted && 'onlyWithoutChart' in question)
    )
  );
  const given = $derived<Record<string, unknown>>({ ...construction?.defaults, ...item.params });
</script>

<div class="flex flex-wrap items-start gap-x-6 gap-y-3">
  <div class="flex flex-col gap-1">
    <label class="label" for="item-name">Name of the item</label>
    <input
      id="item-name"
      class="field w-60"
      maxlength="120"
      value={item.name}
      onchange={(event) => {
        const name = event.currentTarget.value.trim();
        if (name === '') event.currentTarget.value = item.name;
        else onedit((now) => ({ ...now, name }));
      }}
    />
  </div>
  <div class="flex flex-col gap-1">
    <label class="label" for="item-house">Design by</label>
    <input
      id="item-house"
      class="field w-44"
      maxlength="80"
      placeholder="optional"
      value={item.house ?? ''}
      onchange={(event) => {
        const house = event.currentTarget.value.trim();
        onedit((now) => ({ ...now, house: house === '' ? undefined : house }));
      }}
    />
  </div>
</div>
{#if item.variants.length > 1}
  <fieldset class="mt-3">
    <legend class="label">Variants</legend>
    <ul class="mt-1 flex flex-col gap-1">
      {#each item.variants as variant, at (variant.id)}
        <li class="flex items-center gap-2">
          <input
            class="field w-44"
            aria-label="Name of variant {at + 1}"
            maxlength="80"
            value={variant.name}
            onchange={(event) => {
              const name = event.currentTarget.value.trim();
              if (name === '') event.currentTarget.value = variant.name;
              else onedit((now) => renameVariant(now, variant.id, name));
            }}
          />
          <span class="flex-1 text-soft">{formatSize(variant.finished, shop.unit)}</span>
          {#if at > 0}<button
              type="button"
              class="button button-quiet"
              aria-label="Take the variant {variant.name} out"
              title={setup.variantId === variant.id
                ? 'Choose another variant on the sheet first'
                : 'Take it out'}
              disabled={setup.variantId === variant.id}
              onclick={() =>
                onedit((now) => removeVariant(now, variant.id), `The variant ${variant.name} is out.`)}
              ><Trash2 size={18} aria-hidden="true" /></button
            >{/if}
        </li>
      {/each}
    </ul>
  </fieldset>
{/if}
{#if construction}
  <h2 class="mt-5 text-2xl">{construction.name}</h2>
  <p class="text-soft">Change any answer: the item is made anew, and what you did by hand stays.</p>
  <div class="mt-3 flex flex-wrap items-start gap-x-6 gap-y-3">
    {#each questions as question (question.key)}
      <QuestionField
        {question}
        unit={shop.unit}
        value={given[question.key]}
        onanswer={(value) => onanswers(withUsual(construction.questions, given, { [question.key]: value }))}
      />
    {/each}
  </div>
  <div class="mt-5 flex flex-wrap gap-3">
    <a class="button" href="/items/{item.id}/chart">Bring a chart</a>
    <button type="button" class="button" onclick={() => (keeping = true)}>Keep it as a pattern</button>
  </div>
{/if}

<KeepPattern open={keeping} {item} onclose={() => (keeping = false)} />
