<script lang="ts">
  import { goto } from '$app/navigation';
  import { align, assemble, constructionOf, CONSTRUCTIONS, type FixedMatch } from '$lib/core/constructions';
  import { readChart } from '$lib/core/intake';
  import { Item, type Role } from '$lib/core/item';
  import { defaultSetup, smallestHoop } from '$lib/core/shop';
  import { addItem, freshId, getShop, live } from '$lib/data';
  import { toast } from 'svelte-sonner';
  import ChartStage from './ChartStage.svelte';
  import MatchStage from './MatchStage.svelte';
  import PatternStage from './PatternStage.svelte';

  const stored = live(() => null, getShop);
  const shop = $derived(stored.value);

  type Stage = 'chart' | 'pattern' | 'match';
  let stage = $state<Stage>('chart');

  let text = $state('');
  let setAside = $state.raw<number[]>([]);
  /** Roles the maker chose, by line of the chart. */
  let roles = $state.raw<Readonly<Record<number, Role>>>({});
  const reading = $derived(readChart(text, setAside));
  const rows = $derived(
    reading.rows.map((row) => {
      const role = roles[row.line];
      return role ? { ...row, role, confidence: 1 } : row;
    })
  );
  const hasChart = $derived(rows.length > 0);

  let kind = $state(CONSTRUCTIONS[0]?.kind ?? '');
  let answers = $state.raw<Record<string, Record<string, unknown>>>({});
  const construction = $derived(constructionOf(kind));
  const given = $derived(answers[kind] ?? construction?.defaults ?? {});
  const made = $derived(construction?.patternOf(given));
  let name = $state('');
  let machineId = $state('');
  let hoopId = $state('');
  const size = $derived(made?.ok ? made.pattern.variant.size : undefined);
  const chosenMachine = $derived(machineId || (shop?.machines[0]?.id ?? ''));
  const chosenHoop = $derived(
    hoopId || (shop && size && smallestHoop(shop.hoops, size)?.id) || (shop?.hoops[0]?.id ?? '')
  );

  let fixed = $state.raw<FixedMatch[]>([]);
  const expected = $derived(made?.ok ? made.pattern.expected : []);
  const alignment = $derived(align(rows, expected, fixed));

  const stages = $derived<{ id: Stage; name: string; ready: boolean }[]>([
    { id: 'chart', name: 'Chart', ready: true },
    { id: 'pattern', name: 'Pattern and sizes', ready: true },
    ...(hasChart
      ? [{ id: 'match' as const, name: 'Match', ready: made?.ok === true && name.trim() !== '' }]
      : [])
  ]);

  function changeText(next: string): void {
    text = next;
    // Line numbers mean other lines now.
    fixed = [];
    roles = {};
    setAside = [];
  }

  /** Rewrites one line where it stands; everything said about other lines holds. */
  function changeLine(line: number, content: string): void {
    const lines = text.split(/\r\n|\r|\n/);
    lines[line - 1] = content.replace(/[\r\n]+/g, ' ');
    text = lines.join('\n');
  }

  async function make(): Promise<void> {
    if (!shop || !made?.ok) return;
    const id = freshId();
    const item = assemble(made.pattern, {
      id,
      name: name.trim(),
      now: new Date().toISOString(),
      construction: kind,
      params: made.params,
      ...(hasChart && { chart: { text, setAside, rows, alignment } })
    });
    const checked = Item.safeParse(item);
    if (!checked.success) {
      toast.error(
        `The item cannot be stored: ${checked.error.issues[0]?.path.join('.')} ${checked.error.issues[0]?.message}`
      );
      return;
    }
    try {
      await addItem(checked.data, {
        ...defaultSetup(item, shop),
        machineId: chosenMachine,
        hoopId: chosenHoop
      });
    } catch {
      toast.error(
        'The item could not be stored: the browser’s storage may be full. Nothing you typed is lost.'
      );
      return;
    }
    await goto(`/items/${id}`);
  }
</script>

<svelte:head><title>New item · Jolt Step</title></svelte:head>

<div class="flex flex-wrap items-baseline gap-x-8 gap-y-2">
  <h1 class="text-3xl">New item</h1>
  <ol class="flex gap-6">
    {#each stages as { id, name: label, ready }, at (id)}
      <li>
        <button
          type="button"
          disabled={!ready}
          aria-current={stage === id ? 'step' : undefined}
          class="flex min-h-11 items-center gap-2 border-b-[3px] {stage === id
            ? 'border-ink font-bold'
            : 'border-transparent text-soft'}"
          onclick={() => (stage = id)}><span class="head">{at + 1}</span>{label}</button
        >
      </li>
    {/each}
  </ol>
</div>

{#if shop}
  {#if stage === 'chart'}
    <ChartStage
      {text}
      {rows}
      {reading}
      ontext={changeText}
      online={changeLine}
      onrole={(line, role) => (roles = { ...roles, [line]: role })}
      onaside={(line, aside) =>
        (setAside = aside ? [...setAside, line] : setAside.filter((other) => other !== line))}
      onnext={() => (stage = 'pattern')}
    />
  {:else if stage === 'pattern'}
    <PatternStage
      {shop}
      bind:kind
      bind:name
      {given}
      {made}
      {hasChart}
      machineId={chosenMachine}
      hoopId={chosenHoop}
      onanswer={(key, value) => (answers = { ...answers, [kind]: { ...given, [key]: value } })}
      onmachine={(id) => (machineId = id)}
      onhoop={(id) => (hoopId = id)}
      onnext={() => (hasChart ? (stage = 'match') : void make())}
    />
  {:else}
    <MatchStage
      {rows}
      {expected}
      {alignment}
      construction={construction?.name ?? ''}
      onfix={(line, keys) =>
        (fixed = [...fixed.filter((match) => match.line !== line), ...(keys ? [{ line, keys }] : [])])}
      onnext={() => void make()}
    />
  {/if}
{/if}
