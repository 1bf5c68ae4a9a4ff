import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { defaultShop } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { whyOf } from '$lib/core/making/why';
import { expect } from 'chai';
import { made } from './support/made';

describe('why a step is so', () => {
  it('is told for every lay of every construction, and names what makes it right', () => {
    for (const construction of CONSTRUCTIONS) {
      if (construction.kind === 'own') continue;
      const { item, trace } = made(construction.kind);
      for (const step of item.steps) {
        if (step.kind !== 'hand' || step.op.do !== 'lay') continue;
        const why = whyOf(item, trace, step.id);
        expect(why, `${construction.kind} ${step.id}`).to.be.a('string');
        const flip = item.steps.find(
          (each) =>
            each.kind === 'hand' &&
            each.op.do === 'flip' &&
            'pieceId' in step.op &&
            each.op.pieceId === step.op.pieceId
        );
        if (flip) expect(why).to.match(/flip/);
      }
    }
  });
  const whyNamed = (kind: string, pieceName: string): string | null => {
    const { item, trace } = made(kind);
    const piece = item.pieces.find(({ name }) => name === pieceName);
    const step = item.steps.find(
      (each) => each.kind === 'hand' && each.op.do === 'lay' && each.op.pieceId === piece?.id
    );
    return step ? whyOf(item, trace, step.id) : null;
  };
  it('of a panel at a zip is the flip that turns it, and where it ends', () => {
    expect(whyNamed('zip-pouch', 'UPPER FRONT')).to.equal(
      'Face down: the flip at the upper zip seam brings its right side up; it ends in front.'
    );
  });
  it('of a lining is the side of the hoop on which it lies', () => {
    expect(whyNamed('zip-pouch', 'LOWER LINING')).to.equal(
      'Its right side is towards you while the hoop is turned over; it ends inside.'
    );
  });
  it('of an open zip is what is turned through it', () => {
    const { item, trace } = made('zip-pouch');
    const open = item.steps.find((step) => step.kind === 'hand' && step.op.do === 'zip');
    expect(whyOf(item, trace, open?.id ?? '')).to.include('after BACK is on, the work is turned through it');
  });
  it('of a trim is the edge that a later stop sews over that very piece', () => {
    let told = 0;
    for (const construction of CONSTRUCTIONS) {
      if (construction.kind === 'own') continue;
      const { item, trace } = made(construction.kind);
      for (const step of item.steps) {
        if (step.kind !== 'hand' || step.op.do !== 'trim') continue;
        const number = /stop (\d+) sews/.exec(whyOf(item, trace, step.id) ?? '')?.[1];
        if (number === undefined) continue;
        told++;
        const { pieceIds } = step.op;
        // Files count anew and stops run again, so several may bear the number: one of them is the edge over this piece.
        const stops = item.files
          .flatMap((file) => file.stops)
          .filter((stop) => String(stop.number) === number && /edge/.test(stop.role))
          .map(({ id }) => id);
        const joined = (trace.at(-1)?.state.seams ?? [])
          .filter(({ stopId }) => stopId !== null && stops.includes(stopId))
          .flatMap(({ layers }) => layers);
        expect(
          pieceIds.some((id) => joined.includes(id)),
          `${construction.kind} ${step.id}`
        ).to.equal(true);
      }
    }
    expect(told).to.be.above(5);
  });
  it('of turning the hoop is what goes on the back, and that the needle comes from above', () => {
    const { item, trace } = made('snap-tab');
    const turns = item.steps.filter((step) => step.kind === 'hand' && step.op.do === 'turn-over');
    expect(turns.map(({ id }) => whyOf(item, trace, id))).to.deep.equal([
      'BACK goes on the back: turned over, you see where.',
      'The machine stitches from above only, so the right way up again.'
    ]);
  });
  it('of a seam inside is its strength, of a line to lay by nothing but the place', () => {
    const { item, trace } = made('zip-pouch');
    const whyStop = (stopId: string): string | null => {
      const step = item.steps.find((each) => each.kind === 'stop' && each.stopId === stopId);
      return step ? whyOf(item, trace, step.id) : null;
    };
    expect(whyStop('stop-16')).to.equal('It ends inside: only its strength counts.');
    expect(whyStop('stop-1')).to.equal('It only shows where the next piece goes, so any thread will do.');
    expect(whyStop('stop-6')).to.equal('Its thread is seen in front.');
  });
  it('says nothing of a wrong side that shows: that is a finding', () => {
    const { item } = made('turned-flat');
    const at = item.steps.findIndex(
      (step) => step.kind === 'hand' && step.op.do === 'lay' && step.op.face === 'down'
    );
    const step = item.steps[at];
    if (step?.kind !== 'hand' || step.op.do !== 'lay') throw new Error('No back is laid.');
    const wrong = { ...item, steps: item.steps.with(at, { ...step, op: { ...step.op, face: 'up' } }) };
    expect(whyOf(wrong, review(wrong, undefined, defaultShop('why')).trace, step.id)).to.equal(null);
  });
});
