import type { Operation } from '$lib/core/documents/item';
import { withCopies } from '$lib/core/making/interpret/copies';
import { FIRST_HOOPING, inHoopings } from '$lib/core/making/interpret/hoopings';
import { linesFor } from '$lib/core/making/interpret/lines';
import { withMoves } from '$lib/core/making/interpret/moves';
import { spotsOf } from '$lib/core/making/interpret/spots';
import { expect } from 'chai';
import { did, HOOP, sheetOf, stepsFrom } from './support/drafts';

describe('several rings, several equal pieces', () => {
  it('hoops again after the work came out, on lines of its own', () => {
    const again: Operation = { do: 'hoop', pieceIds: ['film'], sticky: false };
    const steps = withMoves(stepsFrom(HOOP, { stop: 'one' }, { do: 'unhoop' }, again, { stop: 'two' }));
    const lines = linesFor({ width: 80, height: 60 }, [], null, FIRST_HOOPING);
    const stop = (id: string): never => ({ id, lineIds: ['outline'] }) as never;
    const hooped = inHoopings({ steps, lines, stops: [stop('one'), stop('two')], pieces: [] });
    expect(hooped.hoopings.map(({ hooped: pieces }) => pieces)).to.deep.equal([['tear-away'], ['film']]);
    expect(hooped.stops.map(({ lineIds }) => lineIds)).to.deep.equal([['outline'], ['outline-in-2']]);
    expect(hooped.lines.find(({ id }) => id === 'outline-in-2')?.frame).to.equal('hooping-2');
    expect(hooped.of.at(-1)).to.equal('hooping-2');
  });
  it('hoops in one ring what is hooped before anything is stitched', () => {
    const more: Operation = { do: 'hoop', pieceIds: ['felt'], sticky: false };
    const [first, ...rest] = withMoves(stepsFrom(HOOP, more, { stop: 'one' }));
    expect(first?.op).to.deep.equal({ ...HOOP, pieceIds: ['tear-away', 'felt'] });
    expect(did(rest)).to.deep.equal(['+hoop-on', 'one']);
  });
  it('takes the work out before it hoops again, where the sheet forgot to say so', () => {
    const again: Operation = { do: 'hoop', pieceIds: ['film'], sticky: false };
    expect(did(withMoves(stepsFrom(HOOP, { stop: 'one' }, again)))).to.deep.equal([
      'hoop',
      '+hoop-on',
      'one',
      '+hoop-off',
      '+unhoop',
      'hoop'
    ]);
  });
  it('the second of two felts laid is another piece, from its spray on', () => {
    const sheet = sheetOf(
      '2 felts, 100 x 100 mm',
      '1. Hoop the tear-away. Sew stop 1.',
      '2. Lay one felt over the line. Sew stop 2.',
      '3. Spray the other felt and lay it underneath. Sew stop 3.'
    );
    expect(
      withCopies(sheet).actions.flatMap(({ action, piece }) =>
        piece?.startsWith('felt') ? [[action, piece]] : []
      )
    ).to.deep.equal([
      ['lay', 'felts'],
      ['spray', 'felts 2'],
      ['lay', 'felts 2']
    ]);
  });
  it('of two with right sides together the first lies the other way up', () => {
    const sheet = sheetOf(
      '2 linings, 100 x 100 mm',
      '1. Hoop the tear-away. Sew stop 1.',
      '2. Lay the two linings on top, right sides together. Sew stop 2.',
      '3. Unhoop. Trim around the outside.'
    );
    const faces = withCopies(sheet).actions.filter(({ action }) => action === 'lay');
    expect(faces.map(({ piece, face }) => [piece, face])).to.deep.equal([
      ['linings', 'up'],
      ['linings 2', 'down']
    ]);
  });
  it('lays large pieces beside or below each other, and leaves of a book on each other', () => {
    const sheet = sheetOf(
      '1 left, 60 x 40 mm',
      '1 right, 60 x 40 mm',
      '1. Hoop the tear-away. Sew stop 1.',
      '2. Lay the left over it. Lay the right over it.',
      '3. Sew stop 2.'
    );
    const size = { width: 60, height: 40 };
    const apart = (by: 'row' | 'column'): number[][] =>
      spotsOf(sheet, size, () => false, { pieces: new Set(['left', 'right']), by }).map(({ x, y }) => [x, y]);
    // 60 mm wide and 4 mm apart; 40 mm high and 4 mm apart.
    expect(apart('row')).to.deep.equal([
      [-32, 0],
      [32, 0]
    ]);
    expect(apart('column')).to.deep.equal([
      [0, -22],
      [0, 22]
    ]);
    const book = sheetOf(
      '1 page 1, 60 x 40 mm',
      '1 page 2, 60 x 40 mm',
      '1. Hoop the tear-away. Sew stop 1.',
      '2. Lay page 1 over it. Lay page 2 over it.',
      '3. Sew stop 2.'
    );
    expect(spotsOf(book, { width: 100, height: 80 }, () => false).map(({ x }) => x)).to.deep.equal([0, 0]);
  });
});
