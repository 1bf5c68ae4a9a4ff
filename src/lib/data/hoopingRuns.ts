import { HoopShare, type Run, RUN_VERSION, type RunHead } from '$lib/core/documents/run';
import { hoopingPlan, type HoopingToRun, type PlannedHooping } from '$lib/core/ordering/day';
import { runsOfOrder } from './orders';
import { type OrderTable, orderTable } from './orderTable';
import { prepareRun } from './runEvents';

/** What a run of a hooping is made from. */
type HoopingOfRun = HoopingToRun &
  Pick<PlannedHooping, 'itemId' | 'name' | 'names'> & {
    shared: { id: string; at: number; parts: readonly HoopShare[] } | null;
  };

/**
 * Makes the run of a hooping ready; it starts when the maker says so. The first run of a shared hoop names the hoop. Gives its
 * id.
 */
export async function prepareHooping(
  { input }: Pick<OrderTable, 'input'>,
  hooping: HoopingOfRun,
  id: string,
  at: number,
  client: string
): Promise<string | undefined> {
  const { order, items } = input;
  const found = items.find(({ item }) => item.id === hooping.itemId);
  const made = found && hoopingPlan(input, hooping);
  if (!made) return undefined;
  const { lineId, stage, copies, heads, stationId, hoopId, way, names, shared } = hooping;
  await prepareRun(
    {
      schema: 'jolt-step/run',
      version: RUN_VERSION,
      id,
      itemId: hooping.itemId,
      itemName: runName(hooping),
      startedAt: new Date(at).toISOString(),
      finishedAt: null,
      ...made,
      item: found.item,
      order: {
        ...{ orderId: order.id, lineId, stage, copies, heads: heads.length, stationId, hoopId, way, names },
        ...(shared && {
          shared: {
            id: shared.at === 0 ? id : shared.id,
            at: shared.at,
            parts: shared.parts.map((part) => HoopShare.parse(part))
          }
        })
      }
    },
    at,
    client
  );
  return id;
}

/**
 * The run of the next item in a shared hoop: the one that is open, or one made ready now.
 *
 * @returns its id; null where it is over already, undefined where an item of the hoop is gone
 */
export async function nextInHoop(
  { order: own }: Pick<RunHead, 'order'>,
  id: string,
  at: number,
  client: string
): Promise<string | null | undefined> {
  const part = own?.shared?.parts[own.shared.at + 1];
  if (!own?.shared || !part) return null;
  const { shared } = own;
  const runs = await inSameHoop(own.orderId, shared.id);
  const next = runs.filter(({ order }) => order?.shared?.at === shared.at + 1);
  if (next.length > 0) return next.find(({ finishedAt }) => finishedAt === null)?.id ?? null;
  const table = await orderTable(own.orderId);
  const name = table?.input.items.find(({ item }) => item.id === part.itemId)?.item.name;
  if (!table || name === undefined) return undefined;
  return prepareHooping(
    table,
    {
      ...part,
      name,
      way: part.way ?? 'copy-by-copy',
      stage: 0,
      heads: [part.copies],
      stationId: own.stationId,
      hoopId: own.hoopId,
      shared: { ...shared, at: shared.at + 1 }
    },
    id,
    at,
    client
  );
}

/** A run of the same hoop that still has something to finish, once another is over; undefined where all is done. */
export async function leftInHoop({
  id,
  order: own
}: Pick<RunHead, 'id' | 'order'>): Promise<string | undefined> {
  if (!own?.shared) return undefined;
  const runs = await inSameHoop(own.orderId, own.shared.id);
  return runs.find((run) => run.id !== id && run.finishedAt === null)?.id;
}

async function inSameHoop(orderId: string, hoop: string): Promise<Run[]> {
  return (await runsOfOrder(orderId)).filter(({ order }) => order?.shared?.id === hoop);
}

/** `Badger luggage tab, 4 copies: Ivy, Otto` */
function runName({ name, copies, names }: Pick<PlannedHooping, 'name' | 'copies' | 'names'>): string {
  const count = copies > 1 ? `, ${copies} copies` : '';
  return `${name}${count}${names.length > 0 ? `: ${names.join(', ')}` : ''}`;
}
