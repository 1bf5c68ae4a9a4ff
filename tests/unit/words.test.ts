import type { PlanStep } from '$lib/core/documents/plan';
import { plan } from '$lib/core/making/plan';
import { inkOn } from '$lib/ui/colour';
import { stepTime, stopNote } from '$lib/ui/steps/words';
import { expect } from 'chai';
import { wcagContrast } from 'culori';
import fc from 'fast-check';
import { badgerShop, badgerTab, makeItem } from './support/badger';

const badger = plan(badgerTab(), undefined, badgerShop());
const stepOf = (steps: PlanStep[], id: string): PlanStep => {
  const found = steps.find((step) => step.id === id);
  if (!found) throw new Error(`no step ${id}`);
  return found;
};

describe('words beside a stop', () => {
  it('say whether it will be seen, and which thread to use where the chart has another', () => {
    const notes = badger.steps.flatMap((step) => (step.stop ? [stopNote(step)] : []));
    expect(notes).to.deep.equal([
      'hidden · charted grey, use white',
      'seen on the front · charted black, use white',
      'seen on the front',
      'seen on the front',
      'seen on the front',
      'seen front and back'
    ]);
  });
  it('say what the chart calls it, on sheet and at the machine, where that is another name', () => {
    const chart = '1 placement grey 120\n2 tack-down black 120\n3 grass green 900\n4 hem white 420';
    const tab = plan(
      makeItem('snap-tab', {}, chart, [{ line: 4, keys: ['outline'] }]),
      undefined,
      badgerShop()
    );
    const outline = tab.steps.find(({ stop }) => stop?.role === 'closing-seam');
    expect(outline && stopNote(outline)).to.match(/^“hem” · /);
    expect(outline?.detail).to.include('“hem” in the chart.');
    const named = tab.steps.filter(({ stop }) => stop?.called !== undefined).map(({ title }) => title);
    expect(named).to.deep.equal([outline?.title]);
  });
  it('say when a count is measured, and when it is only an estimate', () => {
    const fob = plan(makeItem('snap-tab'), undefined, badgerShop());
    expect(stopNote(stepOf(fob.steps, 'stop-1'))).to.equal('hidden · count measured');
    expect(stopNote(stepOf(fob.steps, 'stop-3'))).to.include('count estimated');
  });
  it('are none for a hand step', () => expect(stopNote(stepOf(badger.steps, 'lay-back'))).to.equal(''));
  it('a step’s time is its own, whichever its kind', () => {
    expect(stepTime(stepOf(badger.steps, 'stop-3'))).to.equal(229);
    expect(stepTime(stepOf(badger.steps, 'lay-back'))).to.equal(62);
  });
});

describe('a number on a thread’s colour', () => {
  it('reads at 4.5 : 1 or better, whatever the colour', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (value) => {
        const colour = `#${value.toString(16).padStart(6, '0')}`;
        expect(wcagContrast(colour, inkOn(colour)), colour).to.be.at.least(4.5);
      })
    );
  });
});
