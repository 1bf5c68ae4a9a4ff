<script lang="ts">
  import { formatThread, type LengthUnit } from '$lib/core/base/units';
  import { sayTime } from '$lib/core/ordering/day';
  import type { Reserved } from '$lib/core/ordering/week';

  /** What orders take of the stash, the one that begins first before the others, and what runs short when. */
  interface Props {
    rows: readonly Reserved[];
    nameOf: (orderId: string) => string;
    from: string;
    unit: LengthUnit;
  }
  let { rows, nameOf, from, unit }: Props = $props();

  const MM2 = 1_000_000;
  const INCH2 = 645.16;
  function amount(what: Reserved['what'], value: number): string {
    if (what === 'thread') return formatThread(value, unit, true);
    if (what === 'bobbins') return `${Math.ceil(value)}`;
    return unit === 'mm'
      ? `${(value / MM2).toFixed(2)} m²`
      : `${Math.ceil(value / INCH2).toLocaleString('en')} sq in`;
  }
  const isShort = (row: Reserved): boolean => row.short !== null || row.spoolsShort > 0;
  const short = $derived(rows.filter(isShort));
  const others = $derived(rows.filter((row) => !isShort(row)));
  function shortWords(row: Reserved): string {
    if (row.short)
      return `${amount(row.what, row.short.missing)} missing, from ${sayTime(from, row.short.at)}, for ${nameOf(row.short.orderId)}`;
    if (row.spoolsShort > 0)
      return `${row.spoolsShort} ${row.spoolsShort === 1 ? 'spool' : 'spools'} short: more are on machines at once`;
    return row.what === 'bobbins' ? '' : 'enough';
  }
</script>

<section class="mt-8" aria-labelledby="reserved">
  <h2 id="reserved" class="text-xl">From the stash, in turn</h2>
  <p class="text-soft">
    The order that begins first takes first. Cloth is reckoned by its area; the cutting plan of an order says
    it exactly.
  </p>
  <div class="overflow-x-auto">
    <table class="mt-2 w-full border-collapse text-left">
      <thead>
        <tr class="border-b-[1.5px] border-ink text-soft">
          <th scope="col" class="py-1.5 pr-4 font-normal">What</th>
          <th scope="col" class="pr-4 font-normal">There is</th>
          <th scope="col" class="pr-4 font-normal">For</th>
          <th scope="col" class="font-normal">Runs short</th>
        </tr>
      </thead>
      <tbody>
        {#each [...short, ...others] as row (`${row.what} ${row.name}`)}
          <tr class="border-b border-rule align-top">
            <th scope="row" class="py-2 pr-4">{row.name}{row.what === 'bobbins' ? ', bobbins' : ''}</th>
            <td class="py-2 pr-4">{row.what === 'bobbins' ? 'to wind' : amount(row.what, row.have)}</td>
            <td class="py-2 pr-4">
              {#each row.parts as part (part.orderId)}<span class="block"
                  >{nameOf(part.orderId)}: {amount(row.what, part.needs)}</span
                >{/each}
            </td>
            <td class="py-2 {isShort(row) ? 'font-bold text-hands' : 'text-soft'}">{shortWords(row)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>
