/** Whether the server stays up: 20 of the heaviest batches, plans and papers at once, some of whose senders go away. */
import { readdirSync, readFileSync } from 'node:fs';
import { request } from 'node:http';
import { build, serve } from '../../scripts/lib.mjs';

const json = (path: string): Record<string, unknown> =>
  JSON.parse(readFileSync(new URL(`../../demo/${path}`, import.meta.url), 'utf8')) as Record<string, unknown>;
const ids = readdirSync(new URL('../../demo/items', import.meta.url)).map((name) =>
  name.replace('.json', '')
);
const items = ids.map((id) => json(`items/${id}.json`));
const shop = json('shop.json');
const order = json('orders/gala-weekend.json') as { lines: Record<string, unknown>[] };
const PORT = 4191;

/** The heaviest that is within the limits: every demo item, 3,000 pieces of them together. */
const batch = {
  order: {
    ...order,
    lines: ids.map((itemId, at) => ({
      ...order.lines[0],
      id: `line-${at}`,
      itemId,
      quantity: Math.floor(3000 / ids.length)
    }))
  },
  items,
  shop
};
const plan = { item: items[ids.indexOf('odd-pouch')] ?? items[0], shop };
const sentence = 'Lay the back face down over everything, tape all four corners and stitch stop 5. ';
const paper = sentence.repeat(400);
const ASKED: [path: string, type: string, body: string][] = [
  ...Array.from({ length: 10 }, (): [string, string, string] => [
    '/api/batch',
    'application/json',
    JSON.stringify(batch)
  ]),
  ...Array.from({ length: 5 }, (): [string, string, string] => [
    '/api/plan',
    'application/json',
    JSON.stringify(plan)
  ]),
  ...Array.from({ length: 5 }, (): [string, string, string] => ['/api/intake', 'text/plain', paper])
];
/** Every so many senders leave half a second after they have asked. */
const LEAVES = 4;

function ask([path, type, body]: (typeof ASKED)[number], leaves: boolean): Promise<number> {
  return new Promise((done) => {
    const sent = request(
      { port: PORT, path, method: 'POST', headers: { 'content-type': type } },
      (answer) => {
        answer.resume();
        answer.on('end', () => done(answer.statusCode ?? 0));
      }
    );
    sent.on('error', () => done(0));
    sent.end(body);
    if (leaves) setTimeout(() => sent.destroy(), 500);
  });
}

if (process.env.SKIP_BUILD !== '1') build();
const { server, address } = await serve({ port: PORT, demo: true });
let asking = true;
const health: number[] = [];
let memory = 0;
const watching = (async () => {
  while (asking) {
    const start = performance.now();
    const answer = await fetch(`${address}/api/health`);
    health.push(performance.now() - start);
    await answer.text();
    const status = readFileSync(`/proc/${server.pid}/status`, 'utf8');
    memory = Math.max(memory, Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
    await new Promise((wait) => setTimeout(wait, 50));
  }
})();
const statuses = await Promise.all(ASKED.map((each, at) => ask(each, at % LEAVES === 0)));
// What nobody waits for any more is ended: a small plan is answered at once.
const small = performance.now();
const after = await fetch(`${address}/api/plan`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(plan)
});
const afterMs = performance.now() - small;
asking = false;
await watching;
server.kill();
const count = (status: number): number => statuses.filter((each) => each === status).length;
console.log(`Answered: ${[...new Set(statuses)].map((status) => `${count(status)} × ${status}`).join(', ')}`);
console.log(`A plan after it: ${after.status} in ${Math.round(afterMs)} ms`);
console.log(
  JSON.stringify({
    healthP99Ms: Math.round(health.toSorted((a, b) => a - b)[Math.floor(health.length * 0.99)] ?? 0),
    refused: count(503),
    memoryMb: Math.round(memory),
    ended: after.status === 200 && afterMs < 3000 ? 1 : 0
  })
);
