<script lang="ts">
  import {
    type Item,
    Role,
    ROLE_WORDS,
    ROLES,
    stitchesOf,
    type Stop,
    type StopChange
  } from '$lib/core/documents/item';

  interface Props {
    item: Item;
    stop: Stop;
    onchange: (change: StopChange) => void;
    /** Puts a colour the item does not have yet on the stop. */
    onnewthread: (name: string, colour: string) => void;
  }
  let { item, stop, onchange, onnewthread }: Props = $props();

  const id = $props.id();
  let fresh = $state({ name: '', colour: '#c96f80' });
  const wholeNumber = (text: string): number | null => (/^\d{1,6}$/.test(text.trim()) ? Number(text) : null);
</script>

<div class="grid grid-cols-2 gap-3">
  <div class="col-span-2 flex flex-col gap-1">
    <label class="label" for="{id}-name">Name</label>
    <input
      id="{id}-name"
      class="field"
      value={stop.name}
      maxlength="200"
      onchange={(event) =>
        event.currentTarget.value.trim() && onchange({ name: event.currentTarget.value.trim() })}
    />
  </div>
  <div class="flex flex-col gap-1">
    <label class="label" for="{id}-role">What it does</label>
    <select
      id="{id}-role"
      class="field"
      value={stop.role}
      onchange={(event) => onchange({ role: Role.parse(event.currentTarget.value) })}
    >
      {#each ROLES as role (role)}<option value={role}>{ROLE_WORDS[role]}</option>{/each}
    </select>
  </div>
  <div class="flex flex-col gap-1">
    <label class="label" for="{id}-number">Number on the machine</label>
    <input
      id="{id}-number"
      class="field"
      inputmode="numeric"
      value={stop.number ?? ''}
      onchange={(event) => onchange({ number: wholeNumber(event.currentTarget.value) })}
    />
  </div>
  <div class="flex flex-col gap-1">
    <label class="label" for="{id}-stitches">Stitches</label>
    <input
      id="{id}-stitches"
      class="field"
      inputmode="numeric"
      value={stitchesOf(stop)}
      onchange={(event) => {
        const stitches = wholeNumber(event.currentTarget.value);
        if (stitches !== null) onchange({ stitches });
      }}
    />
  </div>
  <div class="flex flex-col gap-1">
    <label class="label" for="{id}-thread">Thread used</label>
    <select
      id="{id}-thread"
      class="field"
      value={stop.threadId}
      onchange={(event) => onchange({ threadId: event.currentTarget.value })}
    >
      {#each item.threads as thread (thread.id)}<option value={thread.id}>{thread.name}</option>{/each}
    </select>
  </div>
  <fieldset class="col-span-2 flex flex-wrap items-end gap-3">
    <legend class="label">Or another thread</legend>
    <input
      class="field flex-1"
      aria-label="Name of the thread"
      placeholder="Name"
      maxlength="80"
      bind:value={fresh.name}
    />
    <input type="color" class="h-11 w-14" aria-label="Colour of the thread" bind:value={fresh.colour} />
    <button
      type="button"
      class="button"
      disabled={fresh.name.trim() === ''}
      onclick={() => onnewthread(fresh.name.trim(), fresh.colour)}>Use it</button
    >
  </fieldset>
  <label class="col-span-2 flex min-h-11 items-center gap-2">
    <input
      type="checkbox"
      class="size-5"
      checked={stop.protected}
      onchange={(event) => onchange({ protected: event.currentTarget.checked })}
    />
    The bobbin must not run out in this stop
  </label>
</div>
