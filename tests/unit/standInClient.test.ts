import { standIns } from '$lib/data/standIn.svelte';
import { expect } from 'chai';

describe('the client of the stand-in machines', () => {
  const real = globalThis.fetch;
  let asked: { path: string; method: string; type: string | null; body: unknown }[] = [];
  /** Answers every call alike, and keeps what was asked. */
  const answering = (status: number, body: string): void => {
    globalThis.fetch = (path, init) => {
      const { method = 'GET', headers, body: sent } = init ?? {};
      const type = new Headers(headers).get('content-type');
      asked.push({ path: String(path as string), method, type, body: sent });
      return Promise.resolve(new Response(body, { status }));
    };
  };
  beforeEach(() => (asked = []));
  after(() => (globalThis.fetch = real));

  it('asks each thing of its own route, and says that what it sends is JSON', async () => {
    answering(200, '{}');
    await standIns.list();
    await standIns.find('m1');
    await standIns.speed('m1', 20);
    await standIns.tell('m1', { do: 'bobbin', metres: 30 });
    await standIns.remove('m1');
    const json = 'application/json';
    expect(asked).to.deep.equal([
      { path: '/api/machine', method: 'GET', type: null, body: undefined },
      { path: '/api/machine/m1', method: 'GET', type: null, body: undefined },
      { path: '/api/machine/m1', method: 'PATCH', type: json, body: '{"speed":20}' },
      { path: '/api/machine/m1/command', method: 'POST', type: json, body: '{"do":"bobbin","metres":30}' },
      { path: '/api/machine/m1', method: 'DELETE', type: null, body: undefined }
    ]);
  });
  it('gives the answer, or the machine’s own reason where it refuses', async () => {
    answering(200, '[]');
    expect(await standIns.list()).to.deep.equal({ ok: true, value: [] });
    answering(409, '{"error":{"code":"refused","message":"The hoop is off.","path":null}}');
    expect(await standIns.tell('m1', { do: 'start' })).to.deep.equal({
      ok: false,
      code: 'refused',
      message: 'The hoop is off.'
    });
  });
  it('says in words that there was no answer, whether nothing came or no sense', async () => {
    answering(502, '{}');
    expect(await standIns.list()).to.include({ ok: false, message: 'The machine did not answer.' });
    answering(200, '<html>');
    expect(await standIns.list()).to.include({ ok: false, code: 'offline' });
    globalThis.fetch = () => Promise.reject(new TypeError('no network'));
    expect(await standIns.find('m1')).to.include({ ok: false, code: 'offline' });
  });
});
