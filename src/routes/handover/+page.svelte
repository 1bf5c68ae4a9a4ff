<script lang="ts">
  import { page } from '$app/state';
  import {
    type Backup,
    BackupReader,
    type Choice,
    type Difference,
    differences
  } from '$lib/core/documents/files';
  import {
    documentsHere,
    type Handed,
    handedOver,
    live,
    openRuns,
    shelfRows,
    takeOver,
    undoRestore
  } from '$lib/data';
  import { report } from '../report';
  import { canSeal } from '$lib/files';
  import { downloadJson } from '$lib/ui/files';
  import PickFile from '$lib/ui/PickFile.svelte';
  import QrCode from '$lib/ui/QrCode.svelte';
  import { Download, Upload } from '@lucide/svelte';
  import { format } from 'date-fns';
  import { onMount } from 'svelte';
  import { SvelteMap } from 'svelte/reactivity';
  import { toast } from 'svelte-sonner';
  import DifferenceList from './DifferenceList.svelte';
  import { leave, take } from './throughServer';

  const here = live(
    () => null,
    async () => ({
      items: (await shelfRows()).filter(({ away }) => !away),
      runs: await openRuns()
    })
  );
  let chosen = $state('all');
  let working = $state(false);
  let given = $state.raw<{ code: string; until: number } | null>(null);
  const address = $derived(given ? `${page.url.origin}/handover#${given.code}` : '');
  const sealing = canSeal();

  const handed = (): Handed => {
    const [what, ...rest] = chosen.split(' ');
    const id = rest.join(' ');
    return what === 'item' || what === 'run' ? { what, id } : { what: 'all' };
  };
  async function give(): Promise<void> {
    working = true;
    given = null;
    try {
      given = await leave(JSON.stringify(await handedOver(handed(), new Date().toISOString())));
    } catch (error) {
      report(error, 'Nothing was handed over; a file does it without the server.');
    }
    working = false;
  }
  async function asFile(): Promise<void> {
    const now = new Date().toISOString();
    downloadJson(`hand over ${now.slice(0, 10)}`, await handedOver(handed(), now));
  }

  /** What the other device has, told before anything is taken. */
  let asked = $state.raw<{ there: Backup; found: Difference[]; left: number } | null>(null);
  const choices = new SvelteMap<string, Choice>();
  let code = $state('');
  async function look(text: string | null): Promise<void> {
    if (text === null) {
      toast.error('A code has fifteen letters and digits, as ABCDE-FGHJK-MNPQR.');
      return;
    }
    const reader = new BackupReader();
    reader.push(text);
    const read = reader.end();
    if (!read) {
      toast.error('This is nothing that was handed over. Nothing was changed.');
      return;
    }
    choices.clear();
    asked = {
      there: read.backup,
      found: differences(await documentsHere(), read.backup),
      left: read.left.length
    };
  }
  async function ask(): Promise<void> {
    working = true;
    try {
      await look(await take(code));
    } catch (error) {
      report(error, 'Nothing was taken over.');
    }
    working = false;
  }
  async function bring(): Promise<void> {
    if (!asked) return;
    try {
      const before = await takeOver(asked.there, new Map(choices));
      asked = null;
      code = '';
      toast('It is here now.', {
        duration: 60_000,
        action: { label: 'Undo', onClick: () => void undoRestore(before) }
      });
    } catch (problem) {
      report(problem, 'It is not stored; nothing was changed.');
    }
  }
  onMount(() => {
    // A code that was scanned stands behind the address, which no server ever sees.
    const scanned = decodeURIComponent(location.hash.slice(1));
    if (!scanned) return;
    code = scanned;
    history.replaceState(history.state, '', location.pathname);
    void ask();
  });
</script>

<svelte:head><title>Hand over · Jolt Step</title></svelte:head>

<h1 class="text-3xl">Hand over</h1>
<p class="max-w-2xl text-soft">
  From the laptop to the tablet beside the machine, or back. It goes encrypted through the memory of the
  server, for ten minutes at most, and is taken once; or as a file.
</p>

<div class="mt-6 grid gap-10 min-[900px]:grid-cols-2">
  <section aria-labelledby="give">
    <h2 id="give" class="text-xl">From here</h2>
    <label class="mt-2 flex flex-col gap-1"
      ><span class="label">What</span><select class="field max-w-md" bind:value={chosen}>
        <option value="all">Everything on this device</option>
        {#each here.value?.runs ?? [] as { id, itemName } (id)}<option value="run {id}"
            >The run of {itemName}, under way</option
          >{/each}
        {#each here.value?.items ?? [] as { id, name } (id)}<option value="item {id}">{name}</option>{/each}
      </select></label
    >
    <div class="mt-3 flex flex-wrap gap-3">
      <button
        type="button"
        class="button button-main"
        disabled={working || !sealing}
        onclick={() => void give()}>Make a code</button
      >
      <button type="button" class="button" onclick={() => void asFile()}
        ><Download size={20} aria-hidden="true" />As a file</button
      >
    </div>
    {#if !sealing}<p class="mt-2 text-warn">
        A browser encrypts only on this computer itself or over https: this page has neither, so hand it over
        as a file.
      </p>{/if}
    {#if given}
      <div class="mt-5 flex flex-wrap items-center gap-6">
        <QrCode text={address} words="The code to scan" />
        <div>
          <p class="text-soft">Scan it, or type on the other device, under “Hand over”:</p>
          <p class="head text-3xl tracking-wide" data-code>{given.code}</p>
          <p class="text-soft">until {format(given.until, 'HH:mm')}, once</p>
        </div>
      </div>
    {/if}
  </section>
  <section aria-labelledby="take">
    <h2 id="take" class="text-xl">To here</h2>
    <form
      class="mt-2 flex flex-wrap items-end gap-3"
      onsubmit={(event) => {
        event.preventDefault();
        void ask();
      }}
    >
      <label class="flex flex-col gap-1"
        ><span class="label">Code of the other device</span><input
          class="field w-64 uppercase"
          autocomplete="off"
          spellcheck="false"
          maxlength="40"
          bind:value={code}
        /></label
      >
      <button type="submit" class="button" disabled={working || !sealing || code.trim() === ''}
        >Take it</button
      >
      <PickFile
        label="File that was handed over"
        accept="application/json,.json"
        onfiles={([file]) => file && void file.text().then(look)}
        ><Upload size={20} aria-hidden="true" />From a file</PickFile
      >
    </form>
    {#if asked}
      {#if asked.found.length === 0}
        <p class="mt-4 text-lg">Both devices have the same: there is nothing to take.</p>
      {:else}
        <DifferenceList found={asked.found} {choices} onchoose={(key, choice) => choices.set(key, choice)} />
        {#if asked.left > 0}<p class="mt-2 text-warn">
            {asked.left} of its documents cannot be read here and are left out.
          </p>{/if}
        <div class="mt-4 flex gap-3">
          <button type="button" class="button button-main" onclick={() => void bring()}
            >Take these over</button
          >
          <button type="button" class="button" onclick={() => (asked = null)}>Change nothing</button>
        </div>
      {/if}
    {/if}
  </section>
</div>
