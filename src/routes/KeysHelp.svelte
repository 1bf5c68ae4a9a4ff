<script lang="ts">
  import { page } from '$app/state';
  import { goto } from '$app/navigation';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';

  /** Every key, on `?`; and those that work on any page. */
  let open = $state(false);

  const KEYS: readonly [title: string, keys: readonly (readonly [string, string])[]][] = [
    [
      'Everywhere',
      [
        ['Ctrl K', 'go anywhere by name: rooms, items, orders'],
        ['Ctrl Z, Ctrl Y', 'take back, do again'],
        ['?', 'these keys']
      ]
    ],
    [
      'On an item',
      [
        ['S', 'stitch it'],
        ['Arrows, Home, End', 'along the ribbon'],
        ['Alt and arrows', 'move a step or a block']
      ]
    ],
    [
      'At the machine',
      [
        ['Space, Page down', 'done'],
        ['Page up', 'back'],
        ['P', 'pause'],
        ['B, O, F', 'thread broke, bobbin out, another fault'],
        ['M, N', 'mark the stitch, a note'],
        ['R', 'run the last stop again'],
        ['S, A', 'skip, set aside'],
        ['V', 'from above, its layers, from the side'],
        ['K', 'more']
      ]
    ],
    ['Copies in a hoop', [['Arrows, Shift, R, M', 'by 1 mm, by 10 mm, turn, mirror']]]
  ];

  function onkeydown(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || !(event.target instanceof Element)) return;
    if (event.target.closest('input, textarea, select, [contenteditable], [role="dialog"]')) return;
    if (event.key === '?') {
      event.preventDefault();
      open = true;
    }
    const item = /^\/items\/(?!new)([^/]+)/.exec(page.url.pathname)?.[1];
    if (item !== undefined && event.key.toLowerCase() === 's') {
      event.preventDefault();
      const here = document.querySelector<HTMLButtonElement>('button[data-stitch]');
      if (here) here.click();
      else void goto(`/items/${item}`);
    }
  }
</script>

<svelte:window {onkeydown} />

<DialogFrame {open} title="Keys" onclose={() => (open = false)}>
  {#each KEYS as [title, keys] (title)}
    <h2 class="mt-3 text-lg">{title}</h2>
    <dl>
      {#each keys as [key, words] (key)}
        <div class="flex gap-4 border-b border-rule py-1.5">
          <dt class="head w-48 shrink-0">{key}</dt>
          <dd>{words}</dd>
        </div>
      {/each}
    </dl>
  {/each}
  <button type="button" class="button button-main mt-4" onclick={() => (open = false)}>Good</button>
</DialogFrame>
