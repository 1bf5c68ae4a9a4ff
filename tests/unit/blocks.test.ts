import { brokenReferences, Item } from '$lib/core/documents/item';
import { BLOCKS } from '$lib/core/craft/blocks';
import { CONSTRUCTIONS, constructionOf } from '$lib/core/craft/constructions';
import { expect } from 'chai';
import fc from 'fast-check';
import { blocksOf, composed, itemOf, saidOf } from './support/blocks';

describe('a block that cannot stand where it is put', () => {
  const troublesOf = (...kinds: Parameters<typeof blocksOf>): string[] =>
    composed(blocksOf(...kinds)).troubles.map(({ blockId, why, repair }) => `${blockId}: ${why} ${repair}`);
  const refused: [what: string, kinds: Parameters<typeof blocksOf>, says: string][] = [
    [
      'a name after the back',
      ['hooping', 'front', 'back-turned', 'name', 'finishing'],
      'name-4: The back lies over everything: it would be stitched through BACK. Move it before the back.'
    ],
    [
      'stitching without a hooping',
      ['details'],
      'details-1: Nothing is hooped yet. Put a hooping before it.'
    ],
    [
      'stitching on bare stabiliser',
      ['hooping', 'details', 'front', 'finishing'],
      'details-2: No cloth lies open to stitch on. Put a front, or cloth in the hooping, before it.'
    ],
    [
      'hardware in the hoop',
      ['hooping', 'front', 'hardware', 'finishing'],
      'hardware-3: It is still in the hoop. Move it after the finishing.'
    ],
    [
      'a second back',
      ['hooping', 'front', 'back-under', 'back-turned', 'finishing'],
      'back-turned-4: A back is under the hoop already: BACK. Take one of the two backs out.'
    ],
    [
      'a cut edge on woven cotton',
      ['hooping', 'front', 'edge-cut', 'finishing'],
      'edge-cut-3: FRONT frays where it is only cut. Take a satin edge, or felt or vinyl.'
    ],
    [
      'a loop that nothing catches',
      ['hooping', 'front', 'caught', 'finishing'],
      'finishing-4: No seam catches LOOP. Put a back or an edge before the finishing.'
    ],
    [
      'cloth on a topping',
      ['hooping', 'front', 'topping', 'panel', 'finishing'],
      'panel-4: TOPPING lies on the work already: it could not be torn away whole any more. Move it before the topping.'
    ],
    [
      'bars over tear-away',
      [['hooping', { ground: 'hooped' }], 'cutwork-opening', 'finishing'],
      'cutwork-opening-2: Bars across an opening need wash-away in the ring: any other stabiliser stays in the window. Take wash-away for the hooping.'
    ],
    [
      'an edge on a towel',
      ['ready-made', 'details', 'edge-satin', 'finishing'],
      'edge-satin-3: TOWEL is finished already: it gets no back and no edge of its own. Take it out, or hoop cloth to be cut instead.'
    ],
    [
      'a wrong answer',
      ['hooping', ['front', { held: 'hope' }], ['details', { where: 'nowhere' }], 'finishing'],
      'front-2: Held with: choose one of: Tape; Spray; Glue stick; Pins. Change the answer.'
    ],
    [
      'a block of another world',
      ['hooping', 'front', 'laser', 'finishing'],
      'laser-3: There is no block laser. Take it out.'
    ]
  ];
  for (const [what, kinds, says] of refused)
    it(`${what}: says why and what mends it, and the rest goes on`, () => {
      expect(troublesOf(...kinds)).to.include(says);
      expect(composed(blocksOf(...kinds)).pattern).to.have.property('entries');
    });
  it('keeps its place on the sheet as a step that says why, and is a finding that stops', () => {
    const made = composed(
      blocksOf('hooping', 'front', ['name', { height: 1 }, 'MARK'], 'edge-satin', 'finishing')
    );
    const item = itemOf(made);
    const at = item.steps.findIndex(({ id }) => id === 'name-3.left-out');
    expect(item.steps[at]).to.deep.include({
      kind: 'hand',
      op: {
        do: 'left-out',
        what: 'MARK',
        why: made.troubles[0]?.why,
        repair: 'Change the answer.'
      }
    });
    // After the front, before the edge.
    expect(item.steps[at - 1]?.id).to.equal('stop-2');
    expect(item.steps[at + 1]?.id).to.match(/^edge-satin-4/);
    expect(saidOf(item)).to.include(`block/left-out: MARK is not on this sheet. ${made.troubles[0]?.why}`);
  });
  it('leaves the whole finishing out in words, and that the work stays in the hoop is found', () => {
    const made = composed(blocksOf('hooping', 'front', 'caught', 'finishing'));
    const said = saidOf(itemOf(made));
    expect(said.some((each) => each.startsWith('block/left-out: Finishing is not on this sheet.'))).to.equal(
      true
    );
    expect(said.some((each) => each.startsWith('order/never-unhooped:'))).to.equal(true);
  });
  it('stands once it is moved where it was told to', () => {
    expect(troublesOf('hooping', 'front', 'name', 'back-turned', 'finishing')).to.deep.equal([]);
  });
});

describe('blocks in any order', () => {
  const kinds = fc.array(fc.constantFrom(...BLOCKS.map(({ kind }) => kind)), { maxLength: 14 });
  it('never break: every item can be stored, and nothing in it points at nothing', () =>
    fc.assert(
      fc.property(kinds, (drawn) => {
        const item = itemOf(composed(blocksOf(...drawn)));
        expect(brokenReferences(item)).to.deep.equal([]);
        expect(Item.safeParse(item).success).to.equal(true);
      }),
      { numRuns: 150 }
    ));
  it('can be repeated: each has its own steps, lines and pieces', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), (times) => {
        const { pattern } = composed(
          blocksOf('hooping', 'front', ...Array.from({ length: times }, () => 'applique'), 'finishing')
        );
        expect(pattern.pieces).to.have.length(2 + times);
        expect(new Set(pattern.pieces.map(({ id }) => id)).size).to.equal(2 + times);
      }),
      { numRuns: 12 }
    ));
  it('two hundred of them make one item', () => {
    const many = Array.from({ length: 198 }, (_, at): [string, Record<string, unknown>] => [
      'applique',
      { across: (at % 10) * 9 - 45, down: Math.floor(at / 10) * 5 - 45, width: 6, height: 5 }
    ]);
    const { pattern, troubles } = composed(blocksOf('hooping', 'front', ...many, 'finishing'));
    expect(troubles).to.deep.equal([]);
    expect(pattern.expected).to.have.length(2 + 198 * 3);
  });
});

describe('the parts of a construction', () => {
  for (const construction of CONSTRUCTIONS)
    it(`of ${construction.name}: any of them may be left out or moved, and the rest stands`, () => {
      const usual = construction.patternOf({});
      if (!usual.ok) throw new Error(usual.problems.join(' '));
      usual.blocks.forEach(({ id }, at) => {
        const rest = usual.blocks.filter((block) => block.id !== id);
        const left = construction.patternOf({}, rest);
        expect(left.ok && left.pattern.entries.some(({ block }) => block === id)).to.equal(false);
        const [block] = usual.blocks.slice(at, at + 1);
        const moved = construction.patternOf({}, block ? [...rest, block] : rest);
        expect(moved.ok).to.equal(true);
      });
    });
  it('keep the names of their steps wherever another block comes between', () => {
    const usual = constructionOf('snap-tab')?.patternOf({});
    if (!usual?.ok) throw new Error('There is no snap tab.');
    const [first, second, ...rest] = usual.blocks;
    if (!first || !second) throw new Error('A tab has parts.');
    const between = composed([first, second, ...blocksOf(['name', { width: 20 }]), ...rest], 'snap-tab');
    const names = (entries: typeof usual.pattern.entries): string[] =>
      entries.map((entry) => (entry.kind === 'stop' ? entry.key : entry.id));
    expect(names(between.pattern.entries).filter((each) => !each.startsWith('name-'))).to.deep.equal(
      names(usual.pattern.entries)
    );
  });
});

describe('any block at any place of any construction', () => {
  it('stands, or is a step that says why; nothing breaks off', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CONSTRUCTIONS),
        fc.constantFrom(...BLOCKS),
        fc.nat(60),
        ({ kind }, block, place) => {
          const usual = constructionOf(kind)?.patternOf({});
          const parts = usual?.ok ? usual.blocks : [];
          const at = place % (parts.length + 1);
          const put = { id: `put-${block.kind}`, kind: block.kind, answers: {} };
          const made = composed([...parts.slice(0, at), put, ...parts.slice(at)], kind);
          const item = itemOf(made, kind);
          expect(brokenReferences(item)).to.deep.equal([]);
          const leftOut = item.steps.flatMap((step) =>
            step.kind === 'hand' && step.op.do === 'left-out' ? step.op.what : []
          );
          // What finishes nothing or stitches nothing is told too, without a step of its own.
          expect(made.troubles.length).to.be.at.least(leftOut.length);
          expect(Item.safeParse(item).success).to.equal(true);
        }
      ),
      { numRuns: 400 }
    );
  });
  it('of a lace, a ready-made thing at the start keeps the lace off the sheet: its ring is taken', () => {
    const usual = constructionOf('lace')?.patternOf({ parts: 2 });
    if (!usual?.ok) throw new Error('no lace');
    const made = composed([{ id: 'put', kind: 'ready-made', answers: {} }, ...usual.blocks], 'lace', {
      parts: 2
    });
    expect(made.troubles[0]?.why).to.equal('Something is hooped already.');
  });
});
