<script lang="ts">
  import { live, setAside, type SetAside, takeOut } from '$lib/data';
  import { downloadJson } from '$lib/ui/files';
  import { toast } from 'svelte-sonner';

  /** Documents stored here that cannot be read: what is wrong, their files, and a way to take them out. */
  const found = live(
    () => null,
    () => setAside(['item', 'setup', 'shop', 'order', 'cut job', 'line of the stash'])
  );

  async function away(document: SetAside): Promise<void> {
    // Its file is kept first: taking it out cannot be taken back.
    downloadJson(document.name, document.row);
    await takeOut(document);
    toast(`${document.name} is out of the database; its file is in your downloads.`);
  }
</script>

{#if found.value && found.value.length > 0}
  <section class="mt-8" aria-labelledby="aside">
    <h2 id="aside" class="text-2xl">Set aside</h2>
    <p class="text-soft">These are stored here but cannot be read. Everything else goes on without them.</p>
    <ul class="mt-2 border-t-[1.5px] border-ink">
      {#each found.value as each (`${each.kind} ${each.id}`)}
        <li class="flex flex-wrap items-center gap-3 border-b border-rule py-2">
          <p class="mr-auto max-w-3xl">
            <strong>{each.name}</strong>, {each.kind}: {each.problem}
          </p>
          <button type="button" class="button button-quiet" onclick={() => downloadJson(each.name, each.row)}
            >Download its file</button
          >
          <button type="button" class="button button-quiet" onclick={() => void away(each)}
            >Keep its file, take it out</button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
