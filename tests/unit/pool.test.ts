import { Pool } from '$lib/server/pool';
import type { JobAnswer, JobName } from '$lib/server/jobs';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { Worker } from 'node:worker_threads';

const item: unknown = JSON.parse(readFileSync('demo/items/badger-tab.json', 'utf8'));
const input = (value: unknown) => ({
  bytes: new TextEncoder().encode(JSON.stringify(value)),
  type: 'application/json'
});
const never = new AbortController().signal;
const codeOf = ({ body }: JobAnswer): string =>
  (JSON.parse(body) as { error?: { code: string } }).error?.code ?? '';

/** A thread that answers by what it is asked: “stay” never ends, “break” breaks off, all else comes back. */
const THREAD = `
  const { parentPort } = require('node:worker_threads');
  parentPort.on('message', ({ input }) => {
    const asked = JSON.parse(new TextDecoder().decode(input.bytes));
    parentPort.postMessage({ begun: true });
    if (asked === 'stay') for (;;);
    if (asked === 'break') throw new TypeError('x is undefined');
    parentPort.postMessage({ ok: true, answer: { status: 200, body: JSON.stringify(asked) } });
  });`;

describe('long jobs of the server', function () {
  this.timeout(60_000);
  let opened = 0;
  const threads = (seconds: Partial<Record<JobName, number>> = {}): Pool =>
    new Pool(
      1,
      () => {
        opened += 1;
        return new Worker(THREAD, { eval: true });
      },
      { plan: 1, batch: 1, intake: 1, ...seconds }
    );

  it('are done in a thread of their own, the same one again and again', async () => {
    const pool = threads();
    opened = 0;
    for (const asked of ['one', 'two', 'three'])
      expect((await pool.do('plan', input(asked), never)).body).to.equal(JSON.stringify(asked));
    expect(opened).to.equal(1);
    await pool.close();
  });

  it('plan by the same core, and refuse what is no item in words', async () => {
    const pool = new Pool(1);
    const made = await pool.do('plan', input({ item }), never);
    expect(made.status).to.equal(200);
    expect((JSON.parse(made.body) as { steps: unknown[] }).steps).to.have.length(29);
    expect(codeOf(await pool.do('plan', input({ item: 3 }), never))).to.equal('wrong-kind');
    expect((await pool.do('batch', input([]), never)).status).to.equal(400);
    await pool.close();
  });

  it('have their time from when they are taken up: a thread that is slow to load takes none of it', async () => {
    const load = 'for (const until = Date.now() + 900; Date.now() < until; );';
    const pool = new Pool(1, () => new Worker(load + THREAD, { eval: true }), {
      plan: 0.4,
      batch: 1,
      intake: 1
    });
    expect((await pool.do('plan', input('slow'), never)).body).to.equal('"slow"');
    expect(codeOf(await pool.do('plan', input('stay'), never))).to.equal('too-slow');
    await pool.close();
  });

  it('are ended when their time is up, when they break off, and when nobody waits any more', async () => {
    const pool = threads({ plan: 0.3 });
    const late = await pool.do('plan', input('stay'), never);
    expect([late.status, codeOf(late)]).to.deep.equal([503, 'too-slow']);
    const broken = await pool.do('plan', input('break'), never);
    expect(broken.status).to.equal(500);
    expect(broken.body).to.contain('x is undefined');
    const gone = new AbortController();
    const left = pool.do('batch', input('stay'), gone.signal);
    const after = pool.do('plan', input('next'), never);
    gone.abort();
    expect((await left).status).to.equal(499);
    // The thread that stayed is ended, so the next is answered.
    expect((await after).body).to.equal('"next"');
    expect(pool.left).to.equal(1);
    await pool.close();
  });

  it('wait in a queue that has an end', async () => {
    const pool = threads({ plan: 0.3 });
    const asked = Array.from({ length: 12 }, (_, at) =>
      pool.do('plan', input(at === 0 ? 'stay' : at), never)
    );
    const answers = await Promise.all(asked);
    expect(answers.filter((answer) => codeOf(answer) === 'busy')).to.have.length(3);
    expect(answers.filter(({ status }) => status === 200)).to.have.length(8);
    await pool.close();
  });
});
