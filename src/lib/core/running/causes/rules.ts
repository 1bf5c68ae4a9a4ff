import { hoopMove, stepDoes } from '$lib/core/craft/operations';
import { type Item, PILE } from '$lib/core/documents/item';
import { oneLayerMore } from './mends';
import type { Facts } from './facts';
import type { Symptom } from './symptoms';

/** How likely something is the cause, 0 to 1, and what speaks for it. */
export interface Weighed {
  weight: number;
  evidence: string;
}

/** One cause of one symptom. Where the numbers come from stands in docs/craft.md under “What went wrong”. */
export interface CauseRule {
  id: string;
  symptoms: readonly Symptom[];
  words: string;
  advice: string;
  weigh: (facts: Facts) => Weighed | null;
  /** What makes it right on the item, where one press can. */
  mend?: { label: string; change: (item: Item) => Item };
}

/** Dense work needs more than one layer from here on, stitches. */
const MANY_FOR_ONE_LAYER = 12_000;
/** Stitches a minute from which metal threads, knits and dense work suffer. */
const FAST_SPM = 800;
/** Satin narrower than this hardly hides what is cut by hand, mm. */
const NARROW_SATIN = 3;
const USUAL_NEEDLE_HOURS = 8;
/** Weights: seen in this item or run; likely here; usual with this symptom. */
const SEEN = 0.95;
const LIKELY = 0.65;
const USUAL = 0.3;

const seen = (evidence: string): Weighed => ({ weight: SEEN, evidence });
const likely = (evidence: string): Weighed => ({ weight: LIKELY, evidence });
const usual = (evidence: string): Weighed => ({ weight: USUAL, evidence });
const found = (facts: Facts, ...codes: string[]): Weighed | null => {
  const own = facts.findings.find(({ code }) => codes.some((each) => code.startsWith(each)));
  return own ? seen(own.text) : null;
};
const said = (count: number): string => count.toLocaleString('en');
const knitOrPile = ({ cloths }: Facts): string | undefined =>
  (['knit', 'fleece', 'towelling'] as const).find((kind) => cloths.has(kind));
const satins = ({ stops }: Facts): { name: string; width: number }[] =>
  stops
    .filter(({ role }) => role === 'satin-edge' || role === 'applique-edge')
    .map(({ name, phases }) => ({ name, width: Math.max(0, ...phases.map(({ width }) => width ?? 0)) }));

export const RULES: readonly CauseRule[] = [
  {
    id: 'too-little-stabiliser',
    symptoms: ['puckers', 'gap', 'shifted', 'crooked', 'size'],
    words: 'Too little stabiliser under dense stitching',
    advice: 'Hoop a second layer, or a heavier one, and catch it on all four edges.',
    weigh: (facts) => {
      const own = found(facts, 'stabiliser/none', 'stabiliser/light', 'stabiliser/dense', 'stabiliser/tears');
      if (own) return own;
      return facts.layers <= 1 && facts.stitches > MANY_FOR_ONE_LAYER
        ? seen(
            `${facts.layers === 0 ? 'No layer' : 'One layer'} lies under ${said(facts.stitches)} stitches.`
          )
        : null;
    },
    mend: oneLayerMore
  },
  {
    id: 'not-caught-all-round',
    symptoms: ['puckers', 'shifted'],
    words: 'The stabiliser was not caught on all four edges of the ring',
    advice: 'Cut it 25 mm larger than the ring on every side, and pull it drum-tight before the screw.',
    weigh: () => usual('No run can see it: look whether the ring has marked it on three sides only.')
  },
  {
    id: 'stretched-cloth',
    symptoms: ['puckers', 'shifted'],
    words: 'Cloth that stretches was hooped, and went back afterwards',
    advice: 'Hoop the stabiliser alone and float the cloth, or fuse soft mesh to it first.',
    weigh: (facts) => {
      const stretch = found(facts, 'stabiliser/stretch');
      if (stretch) return stretch;
      const kind = knitOrPile(facts);
      const hooped = new Set(facts.item.hoopings.flatMap((hooping) => hooping.hooped));
      const own = facts.item.pieces.find(({ id, material }) => hooped.has(id) && material.kind === 'knit');
      return own
        ? seen(`${own.name} is a knit and is hooped itself.`)
        : kind
          ? likely(`The item has ${kind}, which gives.`)
          : null;
    }
  },
  {
    id: 'satin-too-narrow',
    symptoms: ['gap', 'raw-edge'],
    words: 'The satin is narrower than the cut is exact',
    advice: 'Cut closer to the line, or take a wider satin: it must reach 1 mm inside the raw edge.',
    weigh: (facts) => {
      const own = found(facts, 'raw-edge/');
      if (own) return own;
      const narrow = satins(facts).find(({ width }) => width > 0 && width < NARROW_SATIN);
      return narrow
        ? seen(`${narrow.name} is ${narrow.width} mm wide.`)
        : satins(facts).length > 0
          ? usual('It has a satin edge over a cut one.')
          : null;
    }
  },
  {
    id: 'does-not-cover',
    symptoms: ['gap', 'raw-edge', 'shifted'],
    words: 'A piece does not reach over its line all round',
    advice: 'Cut it with the margin of the sheet, and lift each edge to see the line before it is tacked.',
    weigh: (facts) => found(facts, 'covering/')
  },
  {
    id: 'trim-left-out',
    symptoms: ['raw-edge', 'lumpy'],
    words: 'What should have been trimmed before was not, or not close enough',
    advice: 'Trim to 1 to 2 mm, the hoop off the machine and flat on the table, before the edge is stitched.',
    weigh: (facts) => {
      const hasTrim = facts.item.steps.some((step) => step.kind === 'hand' && step.op.do === 'trim');
      return !hasTrim && satins(facts).length > 0
        ? seen('There is a satin edge, and no step trims before it.')
        : usual('It is the usual cause where the step is on the sheet.');
    }
  },
  {
    id: 'no-topping',
    symptoms: ['sunk'],
    words: 'No topping on pile',
    advice: 'Lay wash-away film over the pile before the letters; it tears or washes off.',
    weigh: (facts) => {
      const own = found(facts, 'pile/no-topping');
      if (own) return own;
      const pile = PILE.find((kind) => facts.cloths.has(kind));
      return pile && !facts.hasTopping ? seen(`${pile} has no film over it.`) : null;
    }
  },
  {
    id: 'thin-letters',
    symptoms: ['sunk'],
    words: 'Strokes too thin for the pile',
    advice: 'A bolder letter, or a block of flat stitching under it.',
    weigh: (facts) => (facts.hasTopping ? likely('There is a topping, and they sank all the same.') : null)
  },
  {
    id: 'film-shut-in',
    symptoms: ['film-trapped'],
    words: 'Film lay under something when that was sewn on',
    advice: 'Take the topping off before the next piece is laid or fused.',
    weigh: (facts) =>
      found(facts, 'topping/left', 'film/trapped') ?? (facts.hasTopping ? likely('It has a topping.') : null)
  },
  {
    id: 'upper-tension',
    symptoms: ['loops-on-top', 'nest'],
    words: 'The thread was not in its tension discs',
    advice: 'Thread it anew with the foot up, then stitch an H and look at its back.',
    weigh: (facts) =>
      (facts.faults ?? 0) > 0
        ? likely(`${facts.faults} faults in that run: it was threaded anew under way.`)
        : usual('Loops on one side come from the thread of the other side.')
  },
  {
    id: 'bobbin-tension',
    symptoms: ['bobbin-on-top'],
    words: 'The upper thread pulls harder than the bobbin holds',
    advice: 'Lower the upper tension a little, and see that the bobbin sits in its spring.',
    weigh: () => usual('The bobbin comes up where the thread above is tighter.')
  },
  {
    id: 'bobbin-colour',
    symptoms: ['bobbin-on-top'],
    words: 'The bobbin was of another colour than the edge',
    advice: 'Wind a bobbin in the colour of the edge: then it cannot be seen.',
    weigh: (facts) => found(facts, 'bobbin-colour/')
  },
  {
    id: 'long-tail',
    symptoms: ['nest'],
    words: 'The tail was not held at the first stitches',
    advice: 'Hold it for five stitches and snip it, at every stop.',
    weigh: () => likely('It is what most nests come from.')
  },
  {
    id: 'hoop-not-locked',
    symptoms: ['shifted', 'crooked'],
    words: 'The hoop was not quite in, or was pushed',
    advice: 'Listen for the click, keep the arm and what hangs out clear, trace before you start.',
    weigh: () => usual('It shows from one stop to the next.')
  },
  {
    id: 'under-the-hoop',
    symptoms: ['shifted', 'lining-caught', 'lumpy'],
    words: 'Something under the hoop folded over while it slid on',
    advice: 'Tape it at all corners, and look underneath before the stop.',
    weigh: (facts) => found(facts, 'sliding/', 'upper-tape/', 'holding/')
  },
  {
    id: 'no-centre',
    symptoms: ['crooked'],
    words: 'Nothing marked where the name goes',
    advice: 'Mark the middle and the line of the name, and trace its box before the first stitch.',
    weigh: (facts) =>
      facts.item.steps.some((step) => stepDoes(step, 'stitch') !== null)
        ? likely('The name runs from a file of its own.')
        : usual('A name is the only thing anyone sees to be straight.')
  },
  {
    id: 'blunt-needle',
    symptoms: ['skipped', 'shredding', 'holes'],
    words: 'The needle is worn, or the wrong one',
    advice: 'A new one: 75/11 for light work, 90/14 for thick layers, ballpoint for knits.',
    weigh: (facts) => {
      if (facts.needleHours !== null && facts.needleHours >= USUAL_NEEDLE_HOURS)
        return seen(`It had stitched ${Math.round(facts.needleHours)} hours.`);
      const kind = knitOrPile(facts);
      return kind === 'knit'
        ? likely('Knits need a ballpoint.')
        : usual('After eight hours a needle is changed.');
    }
  },
  {
    id: 'too-fast',
    symptoms: ['shredding', 'skipped', 'loops-on-top'],
    words: 'The machine ran too fast for it',
    advice: 'Set it to 600 for metal threads, knits and dense areas.',
    weigh: (facts) => {
      const spm = facts.machine?.setSpm ?? 0;
      const metal = facts.item.threads.find(({ name }) => /metal|opal|gold|silver|foil/i.test(name));
      if (metal && spm > FAST_SPM - 200) return seen(`${metal.name} at ${spm} stitches a minute.`);
      return spm > FAST_SPM ? likely(`It is set to ${spm} stitches a minute.`) : null;
    }
  },
  {
    id: 'gummed',
    symptoms: ['shredding', 'skipped'],
    words: 'Glue on the needle',
    advice: 'Spray away from the machine, clean the needle with alcohol.',
    weigh: (facts) =>
      facts.item.steps.some(
        (step) =>
          step.kind === 'hand' &&
          (step.op.do === 'spray' || (step.op.do === 'lay' && step.op.hold.by === 'spray'))
      )
        ? likely('Pieces are held with spray.')
        : null
  },
  {
    id: 'unpicked-vinyl',
    symptoms: ['holes'],
    words: 'Vinyl keeps every hole',
    advice: 'No pins, no unpicking, a longer stitch, and a test on a scrap.',
    weigh: (facts) => (facts.cloths.has('vinyl') ? seen('The item has vinyl.') : null)
  },
  {
    id: 'ironed-vinyl',
    symptoms: ['shiny'],
    words: 'The iron touched vinyl, film or a polyester thread',
    advice: 'Press from the other side, with a cloth between, or with the fingers.',
    weigh: (facts) =>
      found(facts, 'iron/') ??
      (facts.cloths.has('vinyl')
        ? likely('The item has vinyl.')
        : usual('Synthetics shine where an iron rests.'))
  },
  {
    id: 'border-forgotten',
    symptoms: ['size'],
    words: 'The edge adds to the design, or the cloth drew in',
    advice:
      'Finished size is the design and twice its gap and edge: about 6 mm a side. Dense areas draw in by 1 to 2 %.',
    weigh: (facts) =>
      satins(facts).length > 0
        ? likely(`Its edge is ${Math.max(...satins(facts).map(({ width }) => width))} mm wide.`)
        : usual('Dense areas draw cloth in.')
  },
  {
    id: 'face-wrong',
    symptoms: ['wrong-side'],
    words: 'A piece was laid the other way up',
    advice: 'Look at the step: which side looks at you while the hoop is as it is then.',
    weigh: (facts) =>
      found(facts, 'faces/') ?? likely('The sheet is right, so it was laid otherwise than it says.')
  },
  {
    id: 'hoop-not-turned',
    symptoms: ['wrong-side', 'lining-caught'],
    words: 'The hoop was not turned over for a piece below',
    advice: 'Take it off, turn it, lay the piece, turn it back: the sheet says where it lies.',
    weigh: (facts) =>
      facts.item.steps.some((step) => step.kind === 'hand' && hoopMove(step.op) === 'over')
        ? likely('Pieces are laid under the hoop.')
        : null
  },
  {
    id: 'not-clipped',
    symptoms: ['lumpy'],
    words: 'Seam left in the corners',
    advice: 'Trim the seam to 6 mm, clip corners across and curves to the stitching before it is turned.',
    weigh: (facts) =>
      facts.item.steps.some((step) => step.kind === 'hand' && step.op.do === 'clip')
        ? usual('The sheet clips them: perhaps not close enough.')
        : facts.item.steps.some((step) => stepDoes(step, 'turn') !== null)
          ? seen('It is turned, and no step clips its corners.')
          : null
  }
];
