<script lang="ts">
  import { goto } from '$app/navigation';

  /** An item that cannot be read or planned: what is wrong, its file, and a way to put it away. */
  interface Props {
    name: string;
    problem: string;
    ondownload: () => void;
    onputaway: () => Promise<void>;
  }
  let { name, problem, ondownload, onputaway }: Props = $props();
</script>

<h1 class="text-3xl">{name}</h1>
<p class="mt-4 max-w-3xl border-l-4 border-hands bg-hands-pale p-4 text-lg" role="alert">{problem}</p>
<p class="mt-3 max-w-3xl text-soft">
  Nothing of it is lost: its file has everything. Put away, it is off the shelf and can be brought back.
</p>
<div class="mt-6 flex flex-wrap gap-3">
  <button type="button" class="button button-main" onclick={ondownload}>Download its file</button>
  <button type="button" class="button" onclick={() => void onputaway().then(() => goto('/items'))}
    >Put it away</button
  >
  <a href="/items" class="button button-quiet">To the shelf</a>
</div>
