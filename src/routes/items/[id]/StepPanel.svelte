<script lang="ts">
  import { formatDuration, formatSize, formatThread, otherUnit, roundTo } from '$lib/core/base/units';
  import { hoopWords } from '$lib/core/craft/operations';
  import { type Item, ROLE_WORDS, setOneColour } from '$lib/core/documents/item';
  import type { Plan, PlanStep } from '$lib/core/documents/plan';
  import { fitIn, HAND_TIME_KEYS, handTimeLabel, type Setup, type Shop } from '$lib/core/documents/shop';
  import type { StackStep } from '$lib/core/craft/stack';
  import OnCloth from '$lib/ui/picture/OnCloth.svelte';
  import EndPicture from '$lib/ui/picture/EndPicture.svelte';
  import HoopView from '$lib/ui/hoop/HoopView.svelte';
  import { hoopScene } from '$lib/ui/hoop/scene';
  import LayersView from '$lib/ui/stack/LayersView.svelte';
  import Swatch from '$lib/ui/Swatch.svelte';
  import { stepTime } from '$lib/ui/steps/words';
  import Why from '$lib/ui/steps/Why.svelte';
  import ArtOfStop from './ArtOfStop.svelte';
  import VariantDialog from './VariantDialog.svelte';
  import { ArrowDown, ArrowUp, Pencil, Plus, Trash2, Hand } from '@lucide/svelte';

  interface Props {
    item: Item;
    plan: Plan;
    step: PlanStep;
    trace: StackStep[];
    /** The hoop after this step; none before the first step of the item. */
    stack: StackStep | undefined;
    shop: Shop;
    /** The item with all its variants; `item` is the one that is planned. */
    whole: Item;
    freshId: () => string;
    onedit: (change: (item: Item) => Item) => void;
    onsetup: (change: Partial<Setup>) => void;
    onvariant: (change: (item: Item) => Item, variantId: string) => void;
    onchange: () => void;
    onmove: (by: -1 | 1) => void;
    onremove: () => void;
  }
  let {
    item,
    plan,
    step,
    trace,
    stack,
    shop,
    whole,
    freshId,
    onedit,
    onsetup,
    onvariant,
    onchange,
    onmove,
    onremove
  }: Props = $props();

  const scene = $derived(hoopScene(item, plan, step, trace));
  const piece = $derived(
    step.op && 'pieceId' in step.op
      ? plan.cuts.find(({ pieceId }) => step.op && 'pieceId' in step.op && pieceId === step.op.pieceId)
      : undefined
  );
  const hands = $derived(step.kind === 'hand');
  let adding = $state(false);
  const following = $derived(plan.steps.slice(step.number, step.number + 2));
  const layered = $derived(stack !== undefined && stack.state.layers.length > 0);
  const drawn = $derived(scene.hooped || scene.active.length > 0);

  function partLabel(key: string): string {
    const known = HAND_TIME_KEYS.find((candidate) => candidate === key);
    return known ? handTimeLabel(known) : 'As you said';
  }
</script>

<article class="flex flex-1 flex-col rounded-md border-[1.5px] border-ink bg-sheet p-4" aria-live="polite">
  <div class="flex items-start gap-2">
    <p
      class="rounded border-[1.5px] px-2 py-0.5 text-[0.9375rem] font-bold {hands
        ? 'border-hands text-hands'
        : 'border-needle text-needle'}"
    >
      {hoopWords(step.hoop)}
    </p>
    {#if step.itemStepId !== null}
      <div class="-mt-2 -mr-2 ml-auto flex">
        {#each [{ name: 'Change', Icon: Pencil, press: onchange }, { name: 'Earlier', Icon: ArrowUp, press: () => onmove(-1) }, { name: 'Later', Icon: ArrowDown, press: () => onmove(1) }, { name: 'Remove', Icon: Trash2, press: onremove }] as { name, Icon, press } (name)}
          <button type="button" class="button button-quiet" onclick={press} aria-label={name} title={name}
            ><Icon size={18} aria-hidden="true" /></button
          >
        {/each}
      </div>
    {/if}
  </div>
  <h2 class="mt-1 text-2xl">
    {step.stop ? `Stop ${step.stop.machineNumber ?? 'without a number'}: ${step.title}` : step.title}
  </h2>
  {#if step.detail}<p class="mt-1 text-lg leading-snug">{step.detail}</p>{/if}
  {#if step.note}<p class="mt-1 italic">{step.note}</p>{/if}
  <Why {item} {trace} stepId={step.itemStepId} />

  <div class="mt-3 grid gap-4 {drawn && layered ? 'grid-cols-[minmax(0,0.8fr)_minmax(0,1.4fr)]' : ''}">
    {#if drawn}
      <div class="h-64">
        <HoopView
          {scene}
          unit={plan.unit}
          words="The hoop from above{scene.turned ? ', turned over' : ''}. {step.title}. {step.detail}"
        />
      </div>
    {/if}
    {#if layered && stack}<div class="min-w-0">
        <LayersView {item} {stack} ring={plan.hoop.ring} width={185} />
      </div>{/if}
  </div>
  <div class="mt-3">
    <dl class="facts">
      {#if step.thread}
        <dt>{hands ? 'Next thread' : 'Thread'}</dt>
        <dd class="flex items-center gap-2">
          <Swatch colour={step.thread.colour} />{step.thread.name}{step.needle === null
            ? ''
            : `, needle ${step.needle}`}
        </dd>
        <dd><OnCloth {item} {trace} stepId={step.itemStepId} /></dd>
      {/if}
      {#if step.stop}
        <dt>Does</dt>
        <dd>
          {ROLE_WORDS[step.stop.role]}{#if step.stop.charted}<small>charted {step.stop.charted}</small>{/if}
        </dd>
        <dd><ArtOfStop {item} {trace} stop={step.stop} unit={plan.unit} {freshId} {onedit} /></dd>
        <dt>Upper thread</dt>
        <dd>
          {formatThread(step.stop.upperMetres, plan.unit)}<small
            >{{
              chart: 'from the chart',
              geometry: 'measured on the stitches',
              'role-average': 'from the count and the role’s average',
              none: 'unknown'
            }[step.stop.threadSource]}</small
          >
        </dd>
        <dt>Bobbin</dt>
        <dd>{formatThread(step.stop.bobbinMetres, plan.unit)}</dd>
      {/if}
      {#if piece}
        <dt>Cut</dt>
        <dd title={formatSize(piece.cut, otherUnit(plan.unit))}>
          {formatSize(piece.cut, plan.unit)}<small>{piece.material.name}</small>
        </dd>
      {/if}
      {#if step.itemStepId === null && step.op?.do === 'set-up'}
        <dt>Variant</dt>
        <dd class="flex gap-1">
          <select
            class="field min-w-0 flex-1"
            aria-label="Variant"
            value={plan.variant.id}
            onchange={(event) => onsetup({ variantId: event.currentTarget.value })}
          >
            {#each whole.variants as variant (variant.id)}<option value={variant.id}>{variant.name}</option
              >{/each}
          </select>
          <button
            type="button"
            class="button button-quiet"
            aria-label="Add a variant"
            title="Add a variant"
            disabled={whole.construction === undefined}
            onclick={() => (adding = true)}><Plus size={18} aria-hidden="true" /></button
          >
        </dd>
        <dt>Machine</dt>
        <dd>
          <select
            class="field w-full"
            aria-label="Machine"
            value={plan.machine.id}
            onchange={(event) => onsetup({ machineId: event.currentTarget.value })}
          >
            {#each shop.machines as machine (machine.id)}<option value={machine.id}>{machine.name}</option
              >{/each}
          </select>
        </dd>
        <dt>Hoop</dt>
        <dd>
          <select
            class="field w-full"
            aria-label="Hoop"
            value={plan.hoop.id}
            onchange={(event) => {
              const hoop = shop.hoops.find(({ id }) => id === event.currentTarget.value);
              const variant = whole.variants.find(({ id }) => id === plan.variant.id);
              const fit = hoop && variant && fitIn(hoop, variant.size);
              onsetup({ hoopId: event.currentTarget.value, turned: fit?.turned === true });
            }}
          >
            {#each shop.hoops as hoop (hoop.id)}<option value={hoop.id}
                >{hoop.name}, {formatSize(hoop.field, shop.unit)}</option
              >{/each}
          </select>
        </dd>
        <dt>Design</dt>
        <dd>
          <select
            class="field w-full"
            aria-label="How the design lies"
            value={plan.hoop.turned === true ? 'turned' : 'upright'}
            onchange={(event) => onsetup({ turned: event.currentTarget.value === 'turned' })}
          >
            <option value="upright">Upright in the hoop</option>
            <option value="turned">Turned a quarter</option>
          </select>
        </dd>
        {#each whole.files.filter(({ stops }) => stops.length > 1) as file (file.id)}
          <dt>{whole.files.length > 1 ? file.name : 'Colours'}</dt>
          <dd>
            <select
              class="field w-full"
              aria-label="How the colours of {file.name} run"
              value={file.oneColour ? 'one' : 'each'}
              onchange={(event) => {
                const one = event.currentTarget.value === 'one';
                onedit((before) => setOneColour(before, file.id, one));
              }}
            >
              <option value="each">A halt for each colour</option>
              <option value="one">One-colour mode: all as one</option>
            </select>
          </dd>
        {/each}
      {/if}
      <dt>{hands ? (step.waiting.value > 0 ? 'Waiting' : 'Hands') : 'Needle'}</dt>
      <dd>{formatDuration(stepTime(step))}</dd>
      {#if step.parts.length > 1}
        <dd class="parts">
          {#each step.parts as part, at (at)}<span class="block"
              >{partLabel(part.key)}{part.times === 1 ? '' : ` × ${roundTo(part.times, 1)}`}: {formatDuration(
                part.seconds
              )}</span
            >{/each}
        </dd>
      {/if}
    </dl>
  </div>

  {#if step.number === plan.steps.length}
    <div class="mt-3"><EndPicture {item} {trace} unit={plan.unit} height="13rem" /></div>
  {/if}
  {#if stack?.problem}<p class="mt-2 font-bold text-hands">{stack.problem}</p>{/if}

  {#if step.caution}<p class="mt-3 flex items-start gap-2 text-warn">
      <Hand size={20} class="mt-0.5 shrink-0" aria-hidden="true" />{step.caution}
    </p>{/if}

  {#if following.length > 0}
    <p class="mt-auto pt-3 text-soft">
      Then {following
        .map(({ stop, title }) =>
          stop
            ? `stop ${stop.machineNumber ?? '?'}, ${title.toLowerCase()}`
            : title.charAt(0).toLowerCase() + title.slice(1)
        )
        .join('; then ')}.
    </p>
  {/if}

  {#if step.itemStepId === null}
    <p class="mt-2 text-sm text-soft">
      This step comes with the machine and its threads; it follows by itself.
    </p>
  {/if}
</article>

<VariantDialog
  open={adding}
  item={whole}
  unit={plan.unit}
  {freshId}
  onclose={() => (adding = false)}
  onadd={onvariant}
/>

<style>
  .facts {
    columns: 11rem;
  }
  dd {
    break-inside: avoid;
  }
  dt {
    break-after: avoid;
  }
  dt {
    margin-top: 0.5rem;
    color: var(--soft);
    font-size: 0.875rem;
    line-height: 1.2;
  }
  dd {
    font-weight: 600;
  }
  small {
    display: block;
    font-weight: 400;
    color: var(--soft);
    font-size: 0.875rem;
  }
  .parts {
    font-size: 0.875rem;
    font-weight: 400;
    color: var(--soft);
  }
</style>
