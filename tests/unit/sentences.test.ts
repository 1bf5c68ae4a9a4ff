import { defaultShop } from '$lib/core/documents/shop';
import { brokenReferences, Item, type Operation, stitchesOf } from '$lib/core/documents/item';
import { interpret, withSentences } from '$lib/core/making/interpret';
import { review } from '$lib/core/making/checks';
import { linesOfText } from '$lib/core/reading/pages';
import { readChart } from '$lib/core/reading/papers';
import { readSheet } from '$lib/core/reading/sheets';
import { segmentsOf } from '$lib/core/reading/sheets/segments';
import { roleSaid, stopsSaid } from '$lib/core/reading/sheets/stopsSaid';
import { expect } from 'chai';
import fc from 'fast-check';
import { readSharedSheet, sharedSheets } from '../bench/support/sharedSheets';
import { wordingOf } from '../bench/support/sheetWordings';
import { seeded } from '../bench/support/random';
import { makeItem } from './support/badger';

const LIST = [
  '1 tear-away (stabiliser), 200 x 250 mm',
  '1 front (cotton), 130 x 170 mm',
  '1 back (cotton), 140 x 180 mm'
];

/** What sentences ask for, behind a hoop that holds the stabiliser: `action piece face where`. */
function asked(...sentences: string[]): string[] {
  const steps = ['Hoop the tear-away.', 'Sew stop 1.', ...sentences, 'Sew stop 2.'];
  const { actions } = readSheet(linesOfText([...LIST, '', ...steps.map((text, at) => `${at + 1}. ${text}`)]));
  return actions
    .slice(1)
    .map(({ action, piece, face, where }) =>
      [action, piece, face, where].filter((part) => part !== null).join(' ')
    );
}

describe('what sentences ask for', () => {
  const SAYS: [sentence: string, asks: string[]][] = [
    ['Lay the front over the line, right side up, and tape it.', ['lay front up above', 'tape front above']],
    ['Place the front pretty side down on top.', ['lay front down above']],
    ['The back goes face down over everything.', ['lay back down above']],
    ['With right sides together, lay the back over the front.', ['lay back down above']],
    ['Cover the line with the front, wrong side down.', ['lay front up above']],
    [
      'Hoop off, turn it over and lay the back with its right side facing you.',
      ['hoop-off', 'turn-hoop-over', 'lay back up below']
    ],
    [
      'Take the hoop off. Trim front and back close to the stitches. Hoop on.',
      ['hoop-off', 'trim front', 'trim back', 'hoop-on']
    ],
    ['Lay the front over the line and the back in the middle of it.', ['lay front above', 'lay back above']],
    ['Tape the back in place.', ['lay back above', 'tape back above']],
    ['Lay the front on top and pin it.', ['lay front above', 'pin front above']],
    ['Change to red and put in a full bobbin.', ['change-thread', 'change-bobbin']],
    ['Without taking the hoop off, lay the front on top.', ['lay front above']],
    [
      'Apply spray glue to the reverse of the back and press it onto the front.',
      ['spray back', 'lay back above']
    ],
    [
      'Turn the hoop over; on top of that goes the back. Turn the hoop face up and slide it home.',
      ['turn-hoop-over', 'lay back below', 'turn-hoop-back', 'hoop-on']
    ],
    ['Remove from the hoop.', ['unhoop']],
    ['Do not cut the tear-away.', []],
    ['It looks upside down; that is correct.', []]
  ];
  for (const [sentence, asks] of SAYS) it(sentence, () => expect(asked(sentence)).to.deep.equal(asks));

  it('is parted where a verb follows, not in “front and back”', () => {
    expect(segmentsOf('Trim front and back close.', () => false).map(({ text }) => text)).to.deep.equal([
      'Trim front and back close'
    ]);
    expect(
      segmentsOf('Lay A over it and tape the corners.', () => false).map(({ text }) => text)
    ).to.deep.equal(['Lay A over it', 'tape the corners']);
  });
  it('takes “the tape” off what was taped, and “their corners” for both', () => {
    expect(asked('Lay the front on top and tape it.', 'Peel off the tape.').at(-1)).to.equal(
      'untape front above'
    );
    expect(
      asked('Lay the front on top and the back in the middle. Tape their corners.').slice(-2)
    ).to.deep.equal(['tape front above', 'tape back above']);
  });
});

describe('stops that sentences run', () => {
  it('by number, by order, several at once, and not those only spoken of', () => {
    expect(stopsSaid('Sew stops 4 to 6', 3)).to.deep.equal({ from: 4, count: 3, last: false });
    expect(stopsSaid('sew the seventh stop with the grey thread', 6)?.from).to.equal(7);
    expect(stopsSaid('three stops in red, green and brass', 3)?.count).to.equal(3);
    expect(stopsSaid('trim it to the line of stop 2', 4)).to.equal(undefined);
  });
  it('and what they do, from their words', () => {
    expect(roleSaid('Stop 2: holds the batting').role).to.equal('tack-down');
    expect(roleSaid('The ninth stop marks the strip').role).to.equal('placement');
  });
});

describe('a sentence made from an operation is read back as it', () => {
  const OPERATIONS = ['zip-pouch', 'needle-book', 'snap-tab', 'topper', 'turned-flat'].flatMap((kind) => {
    const item = makeItem(kind);
    return item.steps.flatMap((step) => (step.kind === 'hand' ? [{ item, op: step.op }] : []));
  });
  it('whichever of its wordings is drawn', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...OPERATIONS),
        fc.integer({ min: 1, max: 10_000 }),
        ({ item, op }, seed) => {
          const said = wordingOf(op as Operation, item, false, seeded(seed));
          if (!said || op.do === 'flip') return;
          const pieces = item.pieces.map(
            ({ name, material }) => `1 ${name.toLowerCase()} (${material.name.toLowerCase()}), 100 x 120 mm`
          );
          const steps = op.do === 'hoop' ? [said.words] : ['Hoop the sheet', 'Sew stop 1', said.words];
          const { actions } = readSheet(
            linesOfText([
              ...pieces,
              '',
              ...steps.map((text, at) => `${at + 1}. ${text}.`),
              `${steps.length + 1}. Sew stop 2.`,
              `${steps.length + 2}. Sew stop 3.`
            ])
          );
          for (const wanted of said.wanted)
            expect(
              actions.map(({ action }) => (action === 'insert-ribbon' ? 'lay' : action)),
              said.words
            ).to.include(wanted.action);
        }
      ),
      { numRuns: 200, seed: 3 }
    ));
});

describe('sheets that the reader’s author did not write', () => {
  for (const [file, truth] of sharedSheets())
    it(`${file}: sentences, stops, and nine of ten actions with their pieces and faces`, async () => {
      const { sheet } = await readSharedSheet(file);
      expect(sheet?.sentences.map(({ text }) => text)).to.deep.equal(truth.sentences.map(({ text }) => text));
      expect(sheet?.stops.map(({ n, sentence }) => [n, sentence])).to.deep.equal(
        truth.stops.map(({ n, sentence }) => [n, sentence])
      );
      const open = [...(sheet?.actions ?? [])];
      const needed = truth.actions.filter(({ optional }) => optional !== true);
      const right = needed.filter(({ after, action, actionAlso = [], piece, face, sentence }) => {
        const at = open.findIndex(
          (own) =>
            own.after === after &&
            own.sentence === sentence &&
            [action, ...actionAlso].includes(own.action) &&
            own.piece === piece &&
            (face === null || own.face === face)
        );
        if (at >= 0) open.splice(at, 1);
        return at >= 0;
      });
      expect(right.length / needed.length).to.be.at.least(0.9);
    });
});

describe('a sheet judged in the hoop', () => {
  const shop = defaultShop('shop');
  const made = (text: string, title: string) => {
    const { sheet, rows, facts } = readChart(text);
    if (!sheet) throw new Error('no sheet');
    const papers = {
      id: 'it',
      name: title,
      now: '2026-11-27T10:00:00.000Z',
      sheet,
      rows,
      size: facts.size,
      text
    };
    return { sheet, ...interpret(papers, shop) };
  };
  const TURNED = `Lamp coaster, 100 x 100 mm
1 tear-away (stabiliser), 200 x 250 mm
1 front (cotton), 130 x 130 mm
1 back (cotton), 140 x 140 mm

1. Hoop the tear-away.
2. Sew stop 1.
3. Lay the front over the line, right side up, and tape it.
4. Sew stop 2.
5. Lay the back over everything and tape it.
6. Sew stop 3; it leaves an opening of 70 mm.
7. Unhoop and tear the stabiliser away.
8. Turn it right side out through the opening.
9. Sew the opening shut.`;

  it('finds which face must lie down, since only so the right sides come out', () => {
    const { item, ends, steps } = made(TURNED, 'Lamp coaster');
    const lay = item.steps.find(
      (step) => step.kind === 'hand' && step.op.do === 'lay' && step.op.pieceId === 'piece-3'
    );
    expect(lay?.kind === 'hand' && lay.op.do === 'lay' && lay.op.face).to.equal('down');
    expect(ends.front.concat(ends.back).map(({ rightSide }) => rightSide)).to.deep.equal([true, true]);
    // What no sheet says is put in: the hoop on before the first stop, off before the work leaves it.
    const ours = steps.filter(({ sentence }) => sentence === null).map(({ op }) => 'do' in op && op.do);
    expect(ours).to.deep.equal(['hoop-on', 'hoop-off']);
    expect(Item.safeParse(item).success).to.equal(true);
    expect(brokenReferences(item)).to.deep.equal([]);
  });
  it('says what is wrong on the paper: a face that ends inside out', () => {
    const { findings } = made(
      TURNED.replace('Lay the back over everything', 'Lay the back right side up over everything'),
      'Lamp coaster'
    );
    expect(findings.map(({ code }) => code)).to.include('faces/wrong-side');
  });
  it('turns an envelope through its two folded backs, faces out and nothing to find', async () => {
    const { sheet, rows, facts } = await readSharedSheet('s08-season-ticket-sleeve.pdf');
    if (!sheet) throw new Error('no sheet');
    const { item, ends, findings } = interpret(
      { id: 'it', name: 'Sleeve', now: '2026-11-27T10:00:00.000Z', sheet, rows, size: facts.size, text: '' },
      shop
    );
    expect(ends.front).to.deep.equal([{ piece: 'A', rightSide: true }]);
    expect(ends.back.map(({ piece }) => piece).sort()).to.deep.equal(['B', 'C']);
    expect(findings.map(({ code }) => code)).to.deep.equal([]);
    expect(
      review(item, undefined, shop).plan.cuts.find(({ name }) => name === 'B')?.cut,
      'cut whole, laid folded'
    ).to.include({ width: 130, height: 210 });
  });
  it('takes counts and colours from a chart on the same paper', () => {
    const chart = '1  placement  grey  120\n2  tack-down  grey  134\n3  seam  black  402\n\n';
    const { item } = made(chart + TURNED, 'Lamp coaster');
    expect(item.files[0]?.stops.map(stitchesOf)).to.deep.equal([120, 134, 402]);
  });
  it('keeps each sentence beside its step, and what no step does in a list', () => {
    const { item, steps, sheet } = made(
      TURNED.replace('1. Hoop the tear-away.', '1. Hoop the tear-away. Felt has no wrong side.'),
      'Lamp coaster'
    );
    const whole = withSentences({ item, steps }, sheet, 'coaster.txt');
    expect(whole.paper?.unused).to.deep.equal([{ number: '1', text: 'Felt has no wrong side.' }]);
    expect(whole.steps[0]?.note).to.equal('Paper 1: Hoop the tear-away.');
  });
});
