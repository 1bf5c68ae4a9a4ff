import { formatSize, formatThread, type LengthUnit } from '$lib/core/base/units';
import { isStabiliserKind, type Item, type Thread } from '$lib/core/documents/item';
import type { CutPiece, Plan } from '$lib/core/documents/plan';
import type { Machine } from '$lib/core/documents/shop';
import type { NeedleSheet, StationBobbins } from '$lib/core/preparing/threads';
import { stopList } from '$lib/core/stitching/thread';

/** One thing to look at before the machine is started. */
export interface StartCheck {
  id: string;
  title: string;
  detail: string;
  /** Spools to lay out, in order. */
  spools?: Thread[];
}

export interface StartInput {
  plan: Plan;
  item: Item | undefined;
  machine: Machine | undefined;
  /** Bobbins of all heads, as the thread page and the preparation of an order have them. */
  bobbins: Pick<StationBobbins, 'wind' | 'changes' | 'heads'>;
  needles: Pick<NeedleSheet, 'rows' | 'advice' | 'needles'>;
  /** What a test stitch on such a cloth showed, in sentences; none where there was none. */
  trial?: readonly string[];
  /** What went wrong before and could here, a sentence each. */
  lastTime?: readonly string[];
  /** What a bobbin is wound with, in words. */
  bobbinName: (colour: string) => string;
}

/**
 * What to look at before the start, built from the item: file, hoop, pieces, spools, bobbins, needle, trace.
 *
 * @example
 * beforeStart(input).map(({ id }) => id) // ['file', 'hoop', 'pieces', 'spools', 'bobbin', 'needle', 'clear']
 */
export function beforeStart(input: StartInput): StartCheck[] {
  const { plan, needles } = input;
  const several = plan.machine.needles > 1;
  const halts = needles.rows.filter(({ halt }) => halt !== null).map(({ number }) => number);
  const first = needles.needles.filter(({ threadFirst }) => threadFirst);
  return [
    fileCheck(input),
    {
      id: 'hoop',
      title: `${input.bobbins.heads > 1 ? `${input.bobbins.heads} × ` : ''}${plan.hoop.name}, field ${formatSize(plan.hoop.field, plan.unit)}${plan.hoop.turned ? ', the design turned a quarter' : ''}`,
      detail: 'The same hoop is set at the machine. Arrows of the ring aligned, everything in it drum-tight.'
    },
    ...piecesCheck(plan),
    {
      id: 'spools',
      title: several
        ? `Threads on the needles${onEveryHead(input)}`
        : `Spools laid out in order${onEveryHead(input)}`,
      detail: several
        ? first.length > 0
          ? `Thread ${first.map(({ needle, thread }) => `needle ${needle} ${thread?.name ?? ''}`).join(', ')}.`
          : 'All of them are on already.'
        : '',
      spools: spoolsInOrder(plan)
    },
    ...(several
      ? [
          {
            id: 'halts',
            title: halts.length > 0 ? `Halts programmed after ${stopList(halts)}` : 'No halt to program',
            detail:
              halts.length > 0
                ? 'This machine runs on by itself: without these halts it stitches on, in the wrong colour or before a piece is laid.'
                : ''
          }
        ]
      : []),
    bobbinCheck(input),
    ...(input.lastTime ?? []).slice(0, MOST_TOLD).map((detail, at) => ({
      id: `last-time-${at + 1}`,
      title: 'It went wrong before for a reason that is here too',
      detail
    })),
    ...(input.trial && input.trial.length > 0
      ? [{ id: 'trial', title: 'As your test stitch showed', detail: input.trial.join(' ') }]
      : []),
    ...needles.advice.map(({ hooping, needle }, at) => ({
      id: `needle-${at + 1}`,
      title: `Needle ${needle.size} ${needle.kind}${needle.fresh ? ', a new one' : ''}`,
      detail: `${needles.advice.length > 1 ? `${hooping}: ` : ''}${needle.why}.`
    })),
    {
      id: 'clear',
      title: 'Space behind the machine clear',
      detail: 'The carriage will move: hands, hair and cords away. Trace the design before the first stitch.'
    }
  ];
}

/** More than so many nobody reads before a start. */
const MOST_TOLD = 2;

function fileCheck({ plan, item, machine }: StartInput): StartCheck {
  const names = (item?.files ?? []).flatMap(({ name, variantId }) =>
    name && variantId === plan.variant.id ? [name] : []
  );
  const ending = machine?.fileEnding;
  const wrong = ending ? names.filter((name) => /\.\w+$/.test(name) && !name.endsWith(`.${ending}`)) : [];
  return {
    id: 'file',
    title: `The file is in the machine: ${names[0] ?? plan.itemName}`,
    detail: [
      plan.variant.name === 'As drawn' ? '' : `The variant ${plan.variant.name}, no other.`,
      ending ? `${plan.machine.name} reads files that end in .${ending}.` : '',
      wrong.length > 0 ? `${wrong[0]} does not end so: bring the other one.` : ''
    ]
      .filter(Boolean)
      .join(' ')
  };
}

const counted = ({ count, name, cut }: CutPiece, unit: LengthUnit): string =>
  `${count > 1 ? `${count} × ` : ''}${name} ${formatSize(cut, unit)}`;

/** One spool of each colour is not enough where several heads stitch. */
function onEveryHead({ bobbins }: StartInput): string {
  return bobbins.heads > 1 ? `, one of each on all ${bobbins.heads} heads` : '';
}

function piecesCheck({ cuts, unit }: Plan): StartCheck[] {
  const own = cuts.filter(({ cutFrom }) => cutFrom === null);
  const toCut = own.filter(({ readyMade }) => readyMade !== true);
  const fetched = own.filter(({ readyMade }) => readyMade === true);
  const [carriers, pieces] = [true, false].map((wanted) =>
    toCut.filter(({ material }) => isStabiliserKind(material.kind) === wanted)
  );
  const many = (of: readonly CutPiece[] = []): number => of.reduce((sum, { count }) => sum + count, 0);
  const said = [
    ...(many(carriers) > 0 ? [`${many(carriers)} of stabiliser`] : []),
    ...(many(pieces) > 0
      ? [`${many(pieces)} ${many(pieces) === 1 ? 'piece' : 'pieces'} cut and peeled`]
      : []),
    ...fetched.map(({ count, name }) => `${count} ${name.toLowerCase()} fetched`)
  ];
  if (said.length === 0) return [];
  return [
    {
      id: 'pieces',
      title: `${said.join(', ')}, in order`,
      detail: `${[...(carriers ?? []), ...(pieces ?? []), ...fetched].map((cut) => counted(cut, unit)).join(' · ')}.`
    }
  ];
}

function bobbinCheck({ bobbins, bobbinName, plan }: StartInput): StartCheck {
  const wound = bobbins.wind.map(({ colour, count }) => `${count} in ${bobbinName(colour)}`);
  const { changes, heads } = bobbins;
  const later =
    changes > 0 ? ` ${changes} to change on the way${heads > 1 ? `, on each of ${heads} heads` : ''}.` : '';
  return {
    id: 'bobbin',
    title: wound.length > 0 ? `Bobbins wound full: ${wound.join(', ')}` : 'The bobbin in the machine lasts',
    detail: `${plan.bobbin.name}, ${formatThread(plan.bobbin.metres, plan.unit, true)}.${later}`
  };
}

/** Spools as they go on, one that comes again named again. */
export function spoolsInOrder({ steps }: Plan): Thread[] {
  const spools: Thread[] = [];
  for (const { stop, thread } of steps)
    if (stop && stop.machineNumber !== null && thread && spools.at(-1)?.id !== thread.id) spools.push(thread);
  return spools;
}
