<script lang="ts">
  import { goto } from '$app/navigation';
  import { Command, Dialog } from 'bits-ui';
  import { PLACES } from './navigation';

  interface Props {
    items: readonly { id: string; name: string; away: boolean }[];
    orders: readonly { id: string; name: string }[];
    open?: boolean;
  }
  let { items, orders, open = $bindable(false) }: Props = $props();

  function onkeydown(event: KeyboardEvent): void {
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
      event.preventDefault();
      open = !open;
    }
  }

  function go(href: string): void {
    open = false;
    void goto(href);
  }

  const shelf = $derived(open ? items.filter(({ away }) => !away) : []);
</script>

<svelte:window {onkeydown} />

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-20 bg-ink/40" />
    <Dialog.Content
      class="fixed top-24 left-1/2 z-30 w-[34rem] max-w-[92vw] -translate-x-1/2 rounded-md border-[1.5px] border-ink bg-sheet p-3"
    >
      <Dialog.Title class="sr-only">Go to</Dialog.Title>
      <Command.Root label="Go to">
        <Command.Input class="field mb-2 w-full" placeholder="Go to a page, an item or an order" />
        <Command.List class="max-h-80 overflow-y-auto">
          <Command.Empty class="p-3 text-soft">Nothing by that name.</Command.Empty>
          {#each [...PLACES, { href: '/items/new', name: 'New item' }] as { href, name } (href)}
            <Command.Item
              value={name}
              onSelect={() => go(href)}
              class="flex min-h-11 items-center rounded px-3 data-selected:bg-rule">{name}</Command.Item
            >
          {/each}
          {#each shelf as item (item.id)}
            <Command.Item
              value="{item.name} {item.id}"
              onSelect={() => go(`/items/${item.id}`)}
              class="flex min-h-11 items-center rounded px-3 data-selected:bg-rule"
            >
              {item.name}<span class="ml-auto text-sm text-soft">item</span>
            </Command.Item>
          {/each}
          {#each open ? orders : [] as order (order.id)}
            <Command.Item
              value="{order.name} {order.id} order"
              onSelect={() => go(`/orders/${order.id}`)}
              class="flex min-h-11 items-center rounded px-3 data-selected:bg-rule"
            >
              {order.name}<span class="ml-auto text-sm text-soft">order</span>
            </Command.Item>
          {/each}
        </Command.List>
      </Command.Root>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
