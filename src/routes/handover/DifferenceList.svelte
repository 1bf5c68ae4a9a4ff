<script lang="ts">
  import { type Choice, type Difference, handedKey } from '$lib/core/documents/files';
  import { format } from 'date-fns';

  /** What another device has otherwise: for each, which of the two is kept. */
  interface Props {
    found: readonly Difference[];
    choices: ReadonlyMap<string, Choice>;
    onchoose: (key: string, choice: Choice) => void;
  }
  let { found, choices, onchoose }: Props = $props();

  const KINDS: Record<Difference['kind'], string> = {
    item: 'Item',
    setup: 'How it is stitched',
    order: 'Order',
    stash: 'Stash',
    cut: 'Cutting plan',
    shop: 'Shop',
    run: 'Run'
  };
  const FIELDS: Record<string, string> = {
    steps: 'steps',
    files: 'stops',
    pieces: 'pieces',
    threads: 'threads',
    lines: 'lines',
    variants: 'variants',
    name: 'name',
    params: 'answers',
    quantity: 'how many',
    metres: 'length left',
    count: 'how many are left',
    height: 'length left'
  };
  const TWO = [
    ['here', 'Keep mine'],
    ['there', 'Take theirs']
  ] as const;
  const ALL = [...TWO, ['both', 'Both'] as const] as const;
  const say = (at: string | null): string => (at === null ? '' : format(new Date(at), 'd MMM, HH:mm'));
  const added = $derived(found.filter(({ state }) => state === 'new'));
  const longer = $derived(found.filter(({ state }) => state === 'more'));
  const differing = $derived(found.filter(({ state }) => state === 'differs'));
</script>

{#if added.length > 0}
  <p class="mt-3 text-lg">
    <strong>New here:</strong>
    {added
      .slice(0, 12)
      .map(({ kind, name }) => `${KINDS[kind].toLowerCase()} ${kind === 'setup' ? '' : name}`.trim())
      .join(', ')}{added.length > 12 ? ` and ${added.length - 12} more` : ''}.
  </p>
{/if}
{#each longer as { id, name, here, there } (id)}
  <p class="mt-2 text-lg">
    <strong>Run of {name}:</strong> events of both devices are put together, here until {say(here)}, there
    until {say(there)}.
  </p>
{/each}
{#if differing.length > 0}
  <h3 class="mt-4 text-lg">Different on the two devices</h3>
  <ul class="mt-1 border-t border-rule">
    {#each differing as each (handedKey(each))}
      {@const key = handedKey(each)}
      {@const choice = choices.get(key) ?? 'here'}
      <li class="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule py-2">
        <span class="min-w-48 flex-1"
          ><strong
            >{KINDS[each.kind]}{each.kind === 'setup' || each.kind === 'shop' ? '' : ` ${each.name}`}</strong
          ><br />
          <span class="text-soft"
            >{each.fields.map((field) => FIELDS[field] ?? field).join(', ')}{each.here && each.there
              ? ` · here ${say(each.here)}, there ${say(each.there)}`
              : ''}</span
          ></span
        >
        <span class="flex flex-wrap gap-2" role="group" aria-label="Which {KINDS[each.kind]} {each.name}">
          {#each each.kind === 'item' ? ALL : TWO as [value, words] (value)}
            <button
              type="button"
              class="button {choice === value ? 'button-main' : ''}"
              aria-pressed={choice === value}
              onclick={() => onchoose(key, value)}>{words}</button
            >
          {/each}
        </span>
      </li>
    {/each}
  </ul>
{/if}
