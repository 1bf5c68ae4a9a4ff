import { allowedHosts, guard } from '$lib/server/guard';
import { expect } from 'chai';

const headers = (of: Record<string, string> = {}): Headers => new Headers(of);
const own = allowedHosts({});

describe('who may ask the server', () => {
  const status = (method: string, host: string, of?: Record<string, string>, allowed = own): number =>
    guard({ method, host, headers: headers(of) }, allowed)?.status ?? 200;

  it('is asked under its own name, whatever the port', () => {
    expect(status('GET', 'localhost:4173')).to.equal(200);
    expect(status('GET', '127.0.0.1')).to.equal(200);
    expect(status('GET', '[::1]:4173')).to.equal(200);
    expect(status('GET', 'elsewhere.example:4173')).to.equal(403);
    expect(status('GET', '192.168.1.7:4173')).to.equal(403);
  });
  it('answers in the room when started for it, and to names the environment lists', () => {
    const room = allowedHosts({ HOST: '192.168.1.7' });
    expect(status('GET', '192.168.1.7:4173', {}, room)).to.equal(200);
    const listed = allowedHosts({ JOLT_STEP_HOSTS: 'workroom.local, stall.local' });
    expect(status('GET', 'Stall.local', {}, listed)).to.equal(200);
    expect(status('GET', 'kiosk.local', {}, listed)).to.equal(403);
    const behind = allowedHosts({ ORIGIN: 'https://workroom.example' });
    expect(status('POST', 'workroom.example', { origin: 'https://workroom.example' }, behind)).to.equal(200);
  });
  it('lets another page read nothing changing and write nothing', () => {
    const foreign = { origin: 'https://elsewhere.example' };
    for (const method of ['POST', 'PUT', 'PATCH', 'DELETE'])
      expect(status(method, 'localhost:4173', foreign), method).to.equal(403);
    expect(status('POST', 'localhost:4173', { origin: 'http://localhost:5000' })).to.equal(403);
    expect(status('POST', 'localhost:4173', { origin: 'null' })).to.equal(403);
    expect(status('POST', 'localhost:4173', { 'sec-fetch-site': 'same-site' })).to.equal(403);
    expect(status('POST', 'localhost:4173', { origin: 'http://localhost:4173' })).to.equal(200);
    expect(status('POST', 'localhost:4173')).to.equal(200);
  });
});
