<script lang="ts">
  import type { Moved } from '$lib/core/ordering/week';
  import { formatMinutes } from '$lib/core/base/units';
  import { format } from 'date-fns';

  /** What ends at another time than was said, and why. */
  interface Props {
    moved: Moved;
    /** Wall time of the plan it is told against. */
    since: string;
    onseen: () => void;
  }
  let { moved, since, onseen }: Props = $props();
  const say = (wall: string): string => format(new Date(wall), 'EEE HH:mm');
</script>

<section class="mt-4 border-l-4 border-warn bg-warn-pale px-4 py-3" aria-labelledby="moved">
  <div class="flex flex-wrap items-start gap-4">
    <div class="flex-1">
      <h2 id="moved" class="text-lg">What moved since {format(new Date(since), 'EEE d MMM, HH:mm')}</h2>
      <ul class="mt-1">
        {#each moved.moves as { orderId, name, before, after, seconds } (orderId)}
          <li>
            <strong>{name}</strong> ends {say(after)} instead of {say(before)}: {formatMinutes(
              Math.abs(seconds)
            )}
            {seconds > 0 ? 'later' : 'sooner'}.
          </li>
        {/each}
      </ul>
      <p class="mt-1 text-soft">
        {moved.why.length > 0 ? moved.why.join(' ') : 'Time has passed; the rest is planned from now.'}
      </p>
    </div>
    <button type="button" class="button" onclick={onseen}>Seen</button>
  </div>
</section>
