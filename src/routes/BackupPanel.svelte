<script lang="ts">
  import { report } from './report';
  import PickFile from '$lib/ui/PickFile.svelte';
  import type { LooseBackup } from '$lib/core/documents/files';
  import {
    keeping,
    live,
    makeBackup,
    readBackup,
    rememberBackup,
    restoreBackup,
    undoRestore
  } from '$lib/data';
  import PartialBackup from './PartialBackup.svelte';
  import { downloadJson } from '$lib/ui/files';
  import { Download, Upload } from '@lucide/svelte';
  import { format } from 'date-fns';
  import { toast } from 'svelte-sonner';

  /** Everything into one file, and back; `brief` where it is only a reminder. */
  let { brief = false }: { brief?: boolean } = $props();
  const found = live(
    () => null,
    () => keeping(Date.now())
  );
  const kept = $derived(found.value);
  let working = $state(false);

  async function keep(): Promise<void> {
    working = true;
    try {
      const now = new Date().toISOString();
      downloadJson(`jolt step ${now.slice(0, 10)}`, await makeBackup(now));
      await rememberBackup(now);
    } catch (problem) {
      report(problem, 'The backup was not written.');
    }
    working = false;
  }
  /** A backup that is not whole: told before anything is replaced. */
  let asked = $state.raw<{ name: string; read: LooseBackup } | null>(null);
  async function look(file: File): Promise<void> {
    working = true;
    try {
      const read = await readBackup(file);
      if (!read) toast.error(`${file.name} is not a backup. Nothing was changed.`);
      else if (read.left.length > 0 || read.truncated || read.newer) asked = { name: file.name, read };
      else await restore(file.name, read);
    } catch (problem) {
      report(problem, `${file.name} was not read; nothing was changed.`);
    }
    working = false;
  }
  async function restore(name: string, { backup, left, truncated }: LooseBackup): Promise<void> {
    asked = null;
    try {
      const before = await restoreBackup(backup);
      const whole = left.length === 0 && !truncated;
      toast(whole ? `Everything is as it was in ${name}.` : `All that could be read of ${name} is here.`, {
        duration: 60_000,
        action: { label: 'Undo', onClick: () => void undo(before) }
      });
    } catch (problem) {
      report(problem, 'The backup is not brought back; nothing was changed.');
    }
  }
  async function undo(before: Parameters<typeof undoRestore>[0]): Promise<void> {
    try {
      await undoRestore(before);
      toast('Everything is as it was before.');
    } catch (problem) {
      report(problem, 'This was not taken back; nothing was changed.');
    }
  }
</script>

{#if kept && (!brief || kept.due || kept.little !== null)}
  <section aria-labelledby="backup" class={brief ? 'mt-4 border-l-4 border-warn bg-warn-pale p-3' : 'mt-8'}>
    <h2 id="backup" class={brief ? 'sr-only' : 'text-2xl'}>Backup</h2>
    {#if kept.little !== null}
      <p class="font-bold text-warn">
        The browser’s storage is nearly full: {Math.round(kept.little / 1024 / 1024)} MB are left. Keep a backup,
        then remove photos or old runs before the next run.
      </p>
    {/if}
    <div class="flex flex-wrap items-center gap-3">
      <p class={brief ? '' : 'text-soft'}>
        {kept.last
          ? `Last kept in a file on ${format(kept.last, 'd MMMM yyyy, HH:mm')}.`
          : 'Nothing has been kept in a file yet. A browser can be cleared; a file stays.'}
      </p>
      <button type="button" class="button {brief ? '' : 'button-main'}" disabled={working} onclick={keep}
        ><Download size={20} aria-hidden="true" />Keep everything in one file</button
      >
      {#if !brief}
        <PickFile
          label="Backup to bring back"
          accept="application/json,.json"
          disabled={working}
          onfiles={([file]) => file && void look(file)}
          ><Upload size={20} aria-hidden="true" />Bring a backup back</PickFile
        >
        <a class="button" href="/handover">Hand over to another device</a>
      {/if}
    </div>
    {#if !brief}<p class="mt-1 text-sm text-soft">
        Bringing one back replaces all that is here now; it can be undone until you leave.
      </p>{/if}
  </section>
{/if}
{#if asked}
  {@const { name, read } = asked}
  <PartialBackup {name} {read} onclose={() => (asked = null)} onbring={() => void restore(name, read)} />
{/if}
