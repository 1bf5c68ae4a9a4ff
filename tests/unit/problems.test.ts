import { InWords, isOurFault, messageOf, whyNot } from '$lib/core/base/problems';
import { expect } from 'chai';

describe('why something could not be done', () => {
  it('is said in the words a refusal brings', () => {
    class NotStored extends InWords {}
    expect(whyNot(new NotStored('Give the item a name.'))).to.equal('Give the item a name.');
    expect(isOurFault(new NotStored('Give the item a name.'))).to.equal(false);
  });

  it('is a full storage only where the browser says so, also from within', () => {
    const full = new DOMException('no room', 'QuotaExceededError');
    expect(whyNot(full)).to.equal('The browser’s storage is full.');
    expect(whyNot({ name: 'AbortError', message: 'gone', inner: full })).to.equal(
      'The browser’s storage is full.'
    );
    for (const other of [
      new TypeError('x is undefined'),
      new RangeError('too deep'),
      { name: 'valueOf' },
      null
    ])
      expect(whyNot(other)).to.not.contain('storage');
  });

  it('is the server only where there was no answer', () => {
    expect(whyNot(new TypeError('Failed to fetch'))).to.equal('The server does not answer.');
    expect(whyNot(new TypeError('chosen is undefined'))).to.equal(
      'That is a fault in Jolt Step: chosen is undefined.'
    );
    expect(isOurFault(new TypeError('chosen is undefined'))).to.equal(true);
  });

  it('never fails itself, whatever was thrown', () => {
    const round: { inner?: unknown; name: string } = { name: 'Round' };
    round.inner = round;
    for (const thrown of [undefined, 0, '', 'broke off', [], round, Object.create(null)])
      expect(whyNot(thrown)).to.match(/\.$/);
    expect(messageOf('broke off')).to.equal('broke off');
    expect(messageOf(undefined)).to.equal('it broke off without a reason');
  });
});
