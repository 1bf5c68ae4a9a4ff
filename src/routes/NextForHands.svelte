<script lang="ts">
  import { nextTasks } from '$lib/core/ordering/week';
  import { live, openOrders, weekKept } from '$lib/data';
  import { format, isToday } from 'date-fns';
  import { taskHref } from './taskHref';

  /** What hands do now, next and then, over all open orders, as the week was planned last. */
  let { most = 3, large = false }: { most?: number; large?: boolean } = $props();

  const kept = live(() => null, weekKept);
  const orders = live(() => null, openOrders);
  const now = format(new Date(), "yyyy-MM-dd'T'HH:mm");
  const open = $derived(new Map((orders.value ?? []).map(({ id, name }) => [id, name])));
  const tasks = $derived(
    kept.value && open.size > 0
      ? nextTasks(
          {
            ...kept.value,
            tasks: kept.value.tasks.filter(({ orderId }) => orderId === null || open.has(orderId))
          },
          now,
          most
        )
      : []
  );
  const WHEN = ['Now', 'Next', 'Then'];
  function say(wall: string): string {
    const at = new Date(wall);
    return format(at, isToday(at) ? 'HH:mm' : 'EEE HH:mm');
  }
</script>

{#if open.size > 0}
  <section class="mt-6" aria-labelledby="next-for-hands">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h2 id="next-for-hands" class={large ? 'text-2xl' : 'text-xl'}>For your hands, this week</h2>
      <a class="min-h-11 py-2 underline" href="/week"
        >{tasks.length > 0 && kept.value ? `as planned ${say(kept.value.at)}` : 'Plan the week'}</a
      >
    </div>
    {#if tasks.length > 0}
      <ol class="grid gap-3 min-[700px]:grid-cols-3">
        {#each tasks as task, at (`${task.from} ${task.title} ${at}`)}
          <li class="border-t-[1.5px] {at === 0 ? 'border-hands' : 'border-rule-strong'} pt-2">
            <span class="head {at === 0 ? 'text-hands' : 'text-soft'}"
              >{WHEN[at] ?? ''}, {say(task.from)}</span
            ><br />
            <a class="font-bold underline {large ? 'text-2xl' : 'text-lg'}" href={taskHref(task)}
              >{task.title}</a
            ><br />
            <span class="text-soft"
              >{[task.orderId ? open.get(task.orderId) : '', task.place].filter(Boolean).join(' · ')}</span
            >
          </li>
        {/each}
      </ol>
    {/if}
  </section>
{/if}
