import {
  addHandStep,
  answerFinding,
  editStep,
  editStop,
  findStop,
  type Item,
  moveStepAfter,
  type Operation,
  removeStep,
  takeBackAnswer
} from '$lib/core/documents/item';
import { defaultSetup } from '$lib/core/documents/shop';
import { type CheckResult, type Finding, review } from '$lib/core/making/checks';
import { expect } from 'chai';
import fc from 'fast-check';
import { BADGER_CHART, badgerShop, badgerTab, makeItem, NOW, tackedInWhite } from './support/badger';
import { checkOf } from './support/findingWords';

const shop = badgerShop();
function check(item: Item, machineId = 'left'): CheckResult {
  return review(item, { ...defaultSetup(item, shop), machineId }, shop).checked;
}
const said = ({ open }: CheckResult): string[] =>
  open.map(({ code, severity, stepId }) => `${severity} ${checkOf(code)} ${stepId ?? ''}`.trim());
const only = (result: CheckResult, checkId: string): Finding => {
  const found = result.open.filter(({ code }) => checkOf(code) === checkId);
  expect(found, checkId).to.have.length(1);
  return found[0] as Finding;
};
const lay = (item: Item, stepId: string, change: object): Item => {
  const step = item.steps.find(({ id }) => id === stepId);
  if (step?.kind !== 'hand') throw new Error(stepId);
  return editStep(item, stepId, { op: { ...step.op, ...change } as Operation });
};
/** The fix mends what was found, and brings nothing new. */
const expectMended = (item: Item, finding: Finding, machineId?: string): void => {
  if (!finding.fix) throw new Error(`${finding.code} offers no fix`);
  expect(said(check(finding.fix.apply(item), machineId))).to.deep.equal([]);
};

const tab = badgerTab();

describe('checks', () => {
  const intact: [what: string, item: Item][] = [
    ['the badger tab', tab],
    ['a tab without a chart', makeItem('snap-tab')],
    [
      'an eyelet tab in vinyl and vinyl',
      makeItem('snap-tab', { closing: 'eyelet', back: { kind: 'vinyl', name: 'Vinyl', colour: '#d9bd8b' } })
    ],
    ['an oval tab', makeItem('snap-tab', { shape: 'oval', width: 70, height: 90 })],
    ['a square tab', makeItem('snap-tab', { shape: 'rectangle', width: 80, height: 80 })],
    ['a patch sewn on', makeItem('patch')],
    ['a patch ironed on', makeItem('patch', { finish: 'iron-on' })],
    [
      'a patch ironed on woven cloth',
      makeItem('patch', { finish: 'iron-on', ground: { kind: 'woven', name: 'Cotton', colour: '#31405c' } })
    ],
    [
      'a patch from a chart',
      makeItem('patch', {}, '1 lamp slate 3150\n2 glow yellow 2240\n3 border brass 2610')
    ]
  ];
  for (const [what, item] of intact) {
    for (const machineId of ['left', 'right']) {
      it(`find nothing in ${what} on the ${machineId} machine`, () =>
        expect(said(check(item, machineId))).to.deep.equal([]));
    }
  }

  it('find the tack-down that shows black through a white outline, and use white', () => {
    const threads = new Map(tab.threads.map(({ name, id }) => [name, id]));
    const black = editStop(tab, 'stop-2', { threadId: threads.get('Black') });
    const finding = only(check(black), 'colours');
    expect(finding.text).to.equal('Stops 2 and 6 are seen on one line, in black and white.');
    expect(findStop(finding.fix?.apply(black) as Item, 'stop-2')?.threadId).to.equal(threads.get('White'));
    expectMended(black, finding);
  });
  it('do not mind a hidden placement line in another colour', () => {
    expect(said(check(editStop(tab, 'stop-1', { threadId: 'thread-2' })))).to.deep.equal([]);
  });

  it('find a vinyl backing laid the wrong way up, and turn it; felt has no wrong way', () => {
    const vinyl = tackedInWhite(
      makeItem('snap-tab', { back: { kind: 'vinyl', name: 'Vinyl', colour: '#d9bd8b' } }, BADGER_CHART)
    );
    const wrong = lay(vinyl, 'lay-back', { face: 'up' });
    const finding = only(check(wrong), 'faces');
    expect(finding).to.include({
      severity: 'stop',
      stepId: 'lay-back',
      text: 'BACK ends with its wrong side out.'
    });
    expectMended(wrong, finding);
    expect(said(check(lay(tab, 'lay-back', { face: 'up' })))).to.deep.equal([]);
  });
  it('find a backing laid on the front while the hoop is turned over', () => {
    const wrong = check(lay(tab, 'lay-back', { side: 'above' })).open;
    expect(wrong[0]).to.include({
      code: 'impossible/step',
      stepId: 'lay-back',
      text: 'The hoop is turned over, so BACK cannot be laid on the front.'
    });
  });

  it('find a piece cut too small, and one that only just covers', () => {
    const cut = (width: number): Item => ({
      ...tab,
      pieces: tab.pieces.map((piece) =>
        piece.id === 'front' ? { ...piece, overrides: { width, height: 120 } } : piece
      )
    });
    const small = only(check(cut(28)), 'covering');
    expect([small.severity, small.text]).to.deep.equal([
      'stop',
      'FRONT does not cover the outline all round.'
    ]);
    const close = only(check(cut(38)), 'covering');
    expect([close.severity, close.text]).to.deep.equal([
      'warn',
      'FRONT covers the outline by less than 6 mm.'
    ]);
    expect(said(check(cut(43)))).to.deep.equal([]);
    expectMended(cut(28), small);
  });

  it('find stabiliser that the ring does not catch on all four edges', () => {
    const cut = {
      ...tab,
      pieces: tab.pieces.map((piece) =>
        piece.id === 'stabiliser' ? { ...piece, overrides: { width: 139, height: 190 } } : piece
      )
    };
    const finding = only(check(cut), 'ring');
    expect(finding.text).to.match(/^STABILISER is smaller than the ring, 140 × 140 mm/);
    expectMended(cut, finding);
  });

  it('find a layer under the hoop that nothing holds, and tape it', () => {
    const loose = lay(tab, 'lay-back', { hold: { by: 'nothing' } });
    const finding = only(check(loose), 'holding');
    expect(finding).to.include({
      severity: 'stop',
      stepId: 'lay-back',
      text: 'Nothing holds BACK under the hoop while the hoop goes on.'
    });
    expectMended(loose, finding);
    const looked = tab.steps.find((step) => step.kind === 'hand' && step.op.do === 'check-under');
    const sprayed = removeStep(lay(tab, 'lay-back', { hold: { by: 'spray' } }), looked?.id ?? '');
    const slides = only(check(sprayed), 'sliding');
    expect(slides.text).to.equal('BACK can fold under the hoop while it slides on.');
    expectMended(sprayed, slides);
    expect(
      said(check(addHandStep(loose, 'lay-back', 'tape', { do: 'tape', pieceId: 'back', strips: 4 })))
    ).to.deep.equal([]);
  });

  it('find stops after the work is out of the hoop', () => {
    const early = moveStepAfter(tab, 'unhoop', 'stop-5');
    const found = check(early).open.filter(({ code }) => checkOf(code) === 'registration');
    expect(found.map(({ stepId }) => stepId)).to.deep.equal(['stop-6']);
    expect(found[0]?.text).to.match(/^Stop 6 runs after the work is out of the hoop/);
  });

  it('find a step that comes before one it needs, and put it back', () => {
    const early = moveStepAfter(tab, 'lay-front', 'hoop-on-1');
    const finding = only(check(early), 'order');
    expect(finding.text).to.equal(
      '“Lay FRONT, right side to you” comes before “Placement line”, which it needs.'
    );
    expectMended(early, finding);
  });

  it('find a halt that is missing on a machine that changes colour by itself', () => {
    const straight = editStop(tab, 'stop-5', { halts: false });
    expect(said(check(straight, 'left'))).to.deep.equal([]);
    const finding = only(check(straight, 'right'), 'halts');
    expect(finding.text).to.equal('Hands are needed after stop 5, but Right machine runs straight on.');
    expectMended(straight, finding, 'right');
  });

  it('find what the hoop cannot follow: stitching with the hoop off, a cut in a piece that is gone', () => {
    expect(said(check(removeStep(tab, 'hoop-on-5')))).to.include('warn impossible stop-6');
    const cut: Operation = {
      do: 'trim',
      pieceIds: ['back'],
      lineId: 'outline',
      side: 'outside',
      margin: 2
    };
    expect(said(check(addHandStep(tab, 'stop-2', 'early-trim', cut)))).to.deep.equal([
      'warn impossible early-trim'
    ]);
  });

  it('take “meant so” for an answer with its reason, and ask again when told to', () => {
    const loose = lay(tab, 'lay-back', { hold: { by: 'nothing' } });
    const finding = only(check(loose), 'holding');
    const answered = answerFinding(
      answerFinding(loose, finding, 'old reason', NOW),
      finding,
      'static holds this vinyl',
      NOW
    );
    expect(answered.answers).to.have.length(1);
    expect(check(answered).open).to.deep.equal([]);
    expect(check(answered).answered.map(({ reason }) => reason)).to.deep.equal(['static holds this vinyl']);
    expect(said(check(takeBackAnswer(answered, finding)))).to.deep.equal(['stop holding lay-back']);
  });

  it('put what stops the work before what only wants a look', () => {
    const both = lay(editStop(tab, 'stop-2', { threadId: 'thread-2' }), 'lay-back', {
      hold: { by: 'nothing' }
    });
    expect(check(both).open.map(({ severity }) => severity)).to.deep.equal(['stop', 'warn']);
  });

  it('never throw, whatever is left of an item and in whatever order', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(tab.steps), (steps) => {
        for (const { text, advice } of check({ ...tab, steps }, 'right').open) {
          expect(text).to.match(/[.]$/);
          expect(advice).to.match(/[.]$/);
          expect(`${text} ${advice}`).to.not.match(/undefined|null|NaN/);
        }
      }),
      { numRuns: 60 }
    );
  });
  it('find something whenever a step that others need is taken out of its place to the end', () => {
    const needed = tab.steps
      .filter(({ id }) => tab.steps.some(({ needs }) => needs.includes(id)))
      .map(({ id }) => id);
    const last = tab.steps.at(-1)?.id ?? '';
    for (const id of needed) expect(said(check(moveStepAfter(tab, id, last))), id).to.not.deep.equal([]);
  });
});
