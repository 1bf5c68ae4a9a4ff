import { MAX_BODY_BYTES, readBody, refuse } from '$lib/server/answers';
import { expect } from 'chai';
import fc from 'fast-check';

const headers = { 'content-type': 'application/json' };
const post = (body: BodyInit): Request =>
  new Request('http://localhost/api/plan', { method: 'POST', body, headers });

/** A body in several parts, as the network brings it. */
const inParts = (...parts: string[]): Request =>
  new Request('http://localhost/api/plan', {
    method: 'POST',
    headers,
    body: new ReadableStream({
      start(controller) {
        for (const part of parts) controller.enqueue(new TextEncoder().encode(part));
        controller.close();
      }
    }),
    // Node asks for this where a body is streamed.
    ...{ duplex: 'half' }
  });

describe('what server routes read and answer', () => {
  it('an error with code, message and path', async () => {
    const answer = refuse(422, 'invalid', 'The field is wrong.', 'item.name');
    expect(answer.status).to.equal(422);
    expect(await answer.json()).to.deep.equal({
      error: { code: 'invalid', message: 'The field is wrong.', path: 'item.name' }
    });
  });
  it('a JSON object, whole or in parts, a letter cut in two among them', async () => {
    expect(await readBody(post('{"item":{"name":"Dachs"}}'))).to.deep.equal({
      ok: true,
      value: { item: { name: 'Dachs' } }
    });
    expect(await readBody(inParts('{"na', 'me":"⅜', ' in"}'))).to.deep.equal({
      ok: true,
      value: { name: '⅜ in' }
    });
  });
  it('nothing else: no body, no JSON, no object', async () => {
    for (const body of ['', '{', '[]', '3', 'null', '"text"']) {
      const result = await readBody(post(body));
      expect(result.ok, body).to.equal(false);
      if (!result.ok) expect(result.answer.status, body).to.equal(400);
    }
  });
  it('nothing that does not say it is JSON, as a form of another page would send it', async () => {
    const result = await readBody(
      new Request('http://localhost/api/plan', { method: 'POST', body: '{"item":{}}' })
    );
    expect(result.ok ? 200 : result.answer.status).to.equal(415);
  });
  it('never more than the limit', async () => {
    const full = `{"note":"${'x'.repeat(MAX_BODY_BYTES - 11)}"}`;
    expect(full.length).to.equal(MAX_BODY_BYTES);
    expect((await readBody(post(full))).ok).to.equal(true);
    const over = await readBody(inParts(full, ' '));
    expect(over.ok).to.equal(false);
    if (!over.ok) {
      expect(over.answer.status).to.equal(413);
      expect(((await over.answer.json()) as { error: { code: string } }).error.code).to.equal('too-large');
    }
  });
  it('any object as it was sent', async () => {
    await fc.assert(
      fc.asyncProperty(fc.dictionary(fc.string(), fc.jsonValue()), async (value) => {
        const text = JSON.stringify(value);
        expect(await readBody(post(text))).to.deep.equal({ ok: true, value: JSON.parse(text) as unknown });
      }),
      { numRuns: 50 }
    );
  });
});
