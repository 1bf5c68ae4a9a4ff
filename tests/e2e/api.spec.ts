import { readFileSync } from 'node:fs';
import { get } from 'node:http';
import { expect, test } from '@playwright/test';

const demo = (path: string): unknown =>
  JSON.parse(readFileSync(new URL(`../../demo/${path}`, import.meta.url), 'utf8'));
const item = demo('items/badger-tab.json') as Record<string, unknown>;

test('health, demo and schemas', async ({ request }) => {
  expect(await (await request.get('/api/health')).json()).toMatchObject({ ok: true, demo: false });
  const pack = (await (await request.get('/api/demo')).json()) as { items: unknown[]; runs: unknown[] };
  expect(pack.items.length).toBeGreaterThanOrEqual(2);
  for (const name of ['item', 'setup', 'shop', 'run', 'order', 'plan']) {
    const answer = await request.get(`/api/schema/${name}.json`);
    expect(answer.headers()['content-type']).toContain('application/schema+json');
    expect(((await answer.json()) as { type: string }).type).toBe('object');
  }
});

test('a plan by script is the plan of the page', async ({ request }) => {
  const answer = await request.post('/api/plan', { data: { item, shop: demo('shop.json') } });
  expect(answer.status()).toBe(200);
  const plan = (await answer.json()) as { totals: { needle: { value: number } }; steps: unknown[] };
  expect(plan.totals.needle.value).toBe(492);
  expect(plan.steps).toHaveLength(29);
  const odd = await request.post('/api/plan', {
    data: { item: demo('items/odd-pouch.json'), shop: demo('shop.json') }
  });
  const { findings } = (await odd.json()) as { findings: { code: string; stepId: string }[] };
  expect(findings.map(({ code, stepId }) => `${code} ${stepId}`)).toContain('zip/closed lay-back');
});

test('an order by script: its plan, and clear errors', async ({ request }) => {
  const order = demo('orders/gala-weekend.json') as { lines: { itemId: string }[] };
  const items = order.lines.map(({ itemId }) => demo(`items/${itemId}.json`));
  const setups = order.lines.map(({ itemId }) => demo(`setups/${itemId}.json`));
  const shop = demo('shop.json');
  const answer = await request.post('/api/batch', { data: { order, items, setups, shop } });
  expect(answer.status()).toBe(200);
  const plan = (await answer.json()) as {
    hoopings: { copies: number }[];
    finish: number;
    bound: { finish: number };
    problems: string[];
  };
  expect(plan.hoopings.reduce((sum, { copies }) => sum + copies, 0)).toBe(13 + 19 + 7);
  expect(plan.bound.finish).toBeLessThanOrEqual(plan.finish);
  expect(plan.problems).toEqual([]);

  // Twice the same order is a week of two: both are in it, and the chance of each date.
  const second = { ...order, id: 'second', name: 'Second stall' };
  const week = await request.post('/api/batch', { data: { orders: [order, second], items, setups, shop } });
  expect(week.status()).toBe(200);
  const { orders } = (await week.json()) as { orders: { orderId: string; chance: number | null }[] };
  expect(orders.map(({ orderId }) => orderId).sort()).toEqual(['gala-weekend', 'second']);
  for (const { chance } of orders) expect(chance).not.toBeNull();
  const none = await request.post('/api/batch', { data: { orders: [], items, setups, shop } });
  expect(none.status()).toBe(422);

  const refused = async (data: unknown): Promise<unknown> => {
    const no = await request.post('/api/batch', { data });
    expect(no.status()).toBe(422);
    return ((await no.json()) as { error: unknown }).error;
  };
  expect(await refused({ items })).toMatchObject({ code: 'wrong-kind', path: 'order' });
  expect(await refused({ order, items: 'all' })).toMatchObject({ code: 'invalid', path: 'items' });
  expect(await refused({ order, items: [{ ...item, version: 9 }] })).toMatchObject({
    code: 'newer',
    path: 'items.0.version'
  });
  expect(
    await refused({ order: { ...order, lines: [{ id: 'a', itemId: 'b', quantity: 5000 }] }, items })
  ).toMatchObject({ code: 'too-many', path: 'order.lines' });
  expect(await refused({ order: { ...order, due: 'soon' }, items })).toMatchObject({
    code: 'invalid',
    path: 'order.due'
  });
});

test('errors say code, message and path', async ({ request }) => {
  const refused = async (
    data: unknown,
    status: number
  ): Promise<{ code: string; message: string; path: string }> => {
    const answer = await request.post('/api/plan', { data, headers: { 'content-type': 'application/json' } });
    expect(answer.status()).toBe(status);
    return ((await answer.json()) as { error: { code: string; message: string; path: string } }).error;
  };
  expect(await refused('{', 400)).toMatchObject({ code: 'not-json', path: '' });
  expect(await refused({}, 422)).toMatchObject({ code: 'wrong-kind', path: 'item' });
  expect(await refused({ item: { ...item, version: 9 } }, 422)).toMatchObject({
    code: 'newer',
    path: 'item.version'
  });
  expect(await refused({ item, setup: { schema: 'jolt-step/setup', version: 1 } }, 422)).toMatchObject({
    code: 'invalid',
    path: 'setup.itemId'
  });
  expect(
    await refused({ item, shop: { ...(demo('shop.json') as object), machines: [] } }, 422)
  ).toMatchObject({ path: 'shop.machines' });
  expect((await refused(`"${'x'.repeat(3 * 1024 * 1024)}"`, 413)).message).toContain('2 MiB');
  const missing = await request.get('/api/schema/badger.json');
  expect(missing.status()).toBe(404);
  expect(await missing.json()).toMatchObject({ error: { code: 'no-schema', path: 'name' } });
  expect(await (await request.get('/api/nothing')).json()).toMatchObject({ error: { code: 'not-found' } });
  expect(await (await request.get('/api/plan')).json()).toMatchObject({
    error: { code: 'method-not-allowed' }
  });
});

test('the page comes with a strict security policy', async ({ request }) => {
  const headers = (await request.get('/')).headers();
  const policy = headers['content-security-policy'] ?? '';
  expect(policy).toContain("default-src 'none'");
  expect(policy).toMatch(/script-src 'self' 'nonce-/);
  expect(policy).not.toMatch(/unsafe-inline|unsafe-eval|https?:/);
  expect(headers['x-content-type-options']).toBe('nosniff');
});

async function errorOf(response: { json(): Promise<unknown> }, part: 'code' | 'path'): Promise<string> {
  const { error } = (await response.json()) as { error: { code: string; path: string } };
  return error[part];
}

test('POST /api/intake reads a chart or a drawing by its content type, and answers what it cannot read', async ({
  request
}) => {
  const post = (type: string, data: string | Buffer): ReturnType<typeof request.post> =>
    request.post('/api/intake', { headers: { 'content-type': type }, data });
  const chart = await post('text/plain', '1 placement grey 120 0.60 m\n2. Lay the felt.');
  const { rows } = (await chart.json()) as { rows: unknown[] };
  expect(rows[0]).toMatchObject({ number: 1, stitches: 120, role: 'placement' });
  const drawing = await post(
    'image/svg+xml',
    '<svg width="40mm" viewBox="0 0 40 40"><circle r="20" fill="none" stroke="red"/></svg>'
  );
  const { size } = (await drawing.json()) as { size: { width: number } };
  expect(size.width).toBeCloseTo(40, 1);
  const wrong = await post('application/pdf', '1 placement grey 120');
  expect([wrong.status(), await errorOf(wrong, 'code')]).toEqual([422, 'not-what-it-says']);
  const unknown = await post('application/octet-stream', 'x');
  expect([unknown.status(), await errorOf(unknown, 'path')]).toEqual([415, 'content-type']);
});

test('POST /api/machine sets a stand-in up; it obeys, refuses, streams, and goes', async ({ request }) => {
  const bad = await request.post('/api/machine', { data: { name: 'X', needles: 0 } });
  expect(bad.status()).toBe(422);
  expect(((await bad.json()) as { error: { path: string } }).error.path).toBe('needles');
  const made = await request.post('/api/machine', { data: { name: 'Bench', speed: 500, faultsPer10k: 0 } });
  expect(made.status()).toBe(201);
  const { id } = (await made.json()) as { id: string };
  const tell = (data: unknown) => request.post(`/api/machine/${id}/command`, { data });
  const early = await tell({ do: 'start' });
  expect(early.status()).toBe(409);
  expect((await early.json()) as unknown).toEqual({
    error: { code: 'no-job', message: 'Nothing is loaded.', path: 'do' }
  });
  expect((await tell({ do: 'dance' })).status()).toBe(422);
  const job = {
    ...{ id: 'j', name: 'Tab', hoop: 'hoop-100' },
    stops: [{ number: 1, stitches: 600, thread: 'white' }]
  };
  for (const command of [
    { do: 'load', job },
    { do: 'hoop-on', hoop: 'hoop-100' },
    { do: 'rethread', thread: 'white' },
    { do: 'start' }
  ])
    expect((await tell(command)).status()).toBe(200);
  await expect
    .poll(
      async () =>
        ((await (await request.get(`/api/machine/${id}`)).json()) as { state: { phase: string } }).state.phase
    )
    .toBe('finished');
  expect((await request.patch(`/api/machine/${id}`, { data: { speed: 900 } })).status()).toBe(422);
  expect((await request.delete(`/api/machine/${id}`)).status()).toBe(200);
  expect((await request.get(`/api/machine/${id}/events`)).status()).toBe(404);
  expect((await tell({ do: 'start' })).status()).toBe(404);
});

test('only our own pages may write, and only under our own name', async ({ request, baseURL }) => {
  const machine = { name: 'Only ours', speed: 100 };
  const post = (headers: Record<string, string>, data: unknown = machine): ReturnType<typeof request.post> =>
    request.post('/api/machine', { headers, data });
  const own = new URL(baseURL ?? '');
  // A script sends no origin; our own page sends its own.
  const ours: Record<string, string>[] = [{}, { origin: own.origin, 'sec-fetch-site': 'same-origin' }];
  for (const headers of ours) {
    const made = await post(headers);
    expect(made.status()).toBe(201);
    const { id } = (await made.json()) as { id: string };
    expect((await request.delete(`/api/machine/${id}`)).status()).toBe(200);
  }
  const foreign: Record<string, string>[] = [
    { origin: 'https://elsewhere.example' },
    { origin: 'null' },
    { origin: `http://${own.hostname}:1` },
    { 'sec-fetch-site': 'cross-site' }
  ];
  for (const headers of foreign) {
    const refused = await post(headers);
    expect([refused.status(), await errorOf(refused, 'code')]).toEqual([403, 'foreign-origin']);
  }
  // A plain form, and a request that asks nobody’s leave, cannot send JSON.
  for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data'])
    expect((await post({ 'content-type': type }, JSON.stringify(machine))).status()).toBe(415);
  const there = (await (await request.get('/api/machine')).json()) as {
    state: { setup: { name: string } };
  }[];
  expect(there.filter(({ state }) => state.setup.name === 'Only ours')).toEqual([]);
});

test('a name that leads here but is not ours is answered nothing', async ({ baseURL }) => {
  const { port } = new URL(baseURL ?? '');
  const ask = (host: string, path: string): Promise<number> =>
    new Promise((done, fail) => {
      get({ host: '127.0.0.1', port, path, headers: { host } }, (answer) => {
        answer.resume();
        done(answer.statusCode ?? 0);
      }).on('error', fail);
    });
  expect(await ask(`127.0.0.1:${port}`, '/api/machine')).toBe(200);
  expect(await ask(`localhost:${port}`, '/')).toBe(200);
  for (const path of ['/api/machine', '/', '/api/demo'])
    expect(await ask(`elsewhere.example:${port}`, path)).toBe(403);
});

test('POST /api/handover holds what is handed over, gives it once, and answers nothing else', async ({
  request
}) => {
  const bytes = Buffer.from([1, 2, 3, 250]);
  const send = (data: Buffer | string, type = 'application/octet-stream'): ReturnType<typeof request.post> =>
    request.post('/api/handover', { data, headers: { 'content-type': type } });
  const take = (data: object): ReturnType<typeof request.post> =>
    request.post('/api/handover/take', { data });

  const held = await send(bytes);
  expect(held.status()).toBe(201);
  const { id, until } = (await held.json()) as { id: string; until: number };
  expect(id).toMatch(/^[2-9A-HJKMNP-Z]{5}$/);
  expect(until).toBeGreaterThan(Date.now() + 500_000);

  const taken = await take({ id });
  expect(taken.status()).toBe(200);
  expect(taken.headers()['cache-control']).toBe('no-store');
  expect(await taken.body()).toEqual(bytes);
  const again = await take({ id });
  expect(again.status()).toBe(404);
  expect(await again.json()).toMatchObject({ error: { code: 'not-found', path: 'id' } });

  expect((await send('{}', 'application/json')).status()).toBe(415);
  expect((await send(Buffer.alloc(0))).status()).toBe(422);
  const large = await send(Buffer.alloc(9 * 1024 * 1024));
  expect(large.status()).toBe(413);
  for (const wrong of [{}, { id: 'abc' }, { id: '../..' }, { id: 7 }]) {
    const refused = await take(wrong);
    expect(refused.status()).toBe(422);
    expect(await refused.json()).toMatchObject({ error: { code: 'invalid', path: 'id' } });
  }
  // Nothing is listed.
  expect((await request.get('/api/handover')).status()).toBe(405);
});
