import { offsetPath, pathLength } from '$lib/core/base/geometry';
import { findLine, type Hold, type Item, type Operation } from '$lib/core/documents/item';
import type { HandTimeKey, HandTimes, Machine } from '$lib/core/documents/shop';

/** One share of a hand step’s time: which hand time it is, how often, and the seconds. */
export interface TimePart {
  key: HandTimeKey | 'other';
  times: number;
  seconds: number;
}

export interface HandTime {
  hands: number;
  waiting: number;
  parts: TimePart[];
}

/** Millimetres between the clips of a curve. */
const CLIP_SPACING_MM = 12;

/**
 * Time of a hand step from the shop’s hand times, s, with the parts it is made of. Waiting is kept apart.
 *
 * @example
 * handTime({ do: 'cut-out', lineId: 'outline', margin: 3 }, tab, shop.hands, machine).hands
 * // 66.2: 30 and 1.5 for each of the 24.1 cm of the tab’s cut edge
 */
export function handTime(op: Operation, item: Item, hands: HandTimes, machine: Machine): HandTime {
  const parts: TimePart[] = [];
  const add = (key: HandTimeKey, times = 1): void => {
    parts.push({ key, times, seconds: hands[key] * times });
  };
  let waiting = 0;

  switch (op.do) {
    case 'set-up':
      add(machine.needles > 1 ? 'setUpMulti' : 'setUp');
      break;
    case 'hoop':
      add(op.sticky ? 'hoopSticky' : op.pieceIds.length > 1 ? 'hoopTwoLayers' : 'hoopOneLayer');
      break;
    case 'lay':
      add('lay');
      addHold(op.hold, hands, add);
      break;
    case 'tape':
      addHold({ by: 'tape', strips: op.strips }, hands, add);
      break;
    case 'untape':
      add('untapeStrip', op.strips);
      break;
    case 'trim':
      add('trim');
      add('trimPerCm', alongCm(item, op.lineId, op.side === 'outside' ? op.margin : -op.margin));
      break;
    case 'cut-out':
    case 'cut-roughly':
    case 'cut-through':
      add('cutOut');
      add('cutOutPerCm', alongCm(item, op.lineId, 'margin' in op ? op.margin : 0));
      break;
    case 'clip':
      add('clip', Math.ceil((alongCm(item, op.lineId, 0) * 10) / CLIP_SPACING_MM));
      break;
    case 'snip':
      add('snipJump', op.jumps);
      break;
    case 'thread':
      add('rethread');
      // Without a trimmer the tail is caught by hand after the first stitches.
      if (!machine.trimmer) add('snipTail');
      break;
    case 'insert-run':
      add('setUp');
      add('resumeAt');
      break;
    case 'turn-through':
      add(op.pieceId === undefined ? 'turn' : 'turnAgain');
      break;
    case 'close-opening':
      add(op.by === 'hand' ? 'closeByHand' : 'closeByMachine');
      break;
    case 'join-parts':
      add('joinLoop', op.loops);
      break;
    case 'punch':
      add('punch', op.holes);
      break;
    case 'hardware':
      add(op.kind === 'snap' ? 'snap' : op.kind === 'eyelet' ? 'eyelet' : 'ring', op.count);
      break;
    case 'wait':
      waiting = hands[WAIT_KEY[op.why]];
      break;
    case 'other':
      parts.push({ key: 'other', times: 1, seconds: op.seconds });
      break;
    default:
      add(PLAIN_KEY[op.do]);
  }
  return { hands: parts.reduce((sum, part) => sum + part.seconds, 0), waiting, parts };
}

const WAIT_KEY = {
  'fray-fluid': 'waitFray',
  glue: 'waitGlue',
  soak: 'waitSoak',
  dry: 'waitDry'
} as const satisfies Record<string, HandTimeKey>;

/** Operations that take one hand time, whatever their arguments. */
const PLAIN_KEY = {
  unhoop: 'unhoop',
  'hoop-on': 'hoopOn',
  'hoop-off': 'hoopOff',
  'turn-over': 'turnOver',
  'frame-forward': 'frameForward',
  spray: 'spray',
  glue: 'glue',
  pin: 'pin',
  unpin: 'pin',
  fuse: 'fuse',
  press: 'fuse',
  'press-folds': 'press',
  flip: 'flip',
  'cut-away-behind': 'cutAway',
  'patch-hole': 'lay',
  float: 'lay',
  lift: 'lay',
  mount: 'hoopOn',
  'align-holes': 'alignHoles',
  zip: 'checkUnder',
  'topping-on': 'toppingOn',
  'topping-off': 'toppingOff',
  bobbin: 'bobbin',
  'wind-bobbin': 'windBobbin',
  needle: 'needle',
  speed: 'speed',
  trace: 'trace',
  inspect: 'inspect',
  'check-under': 'checkUnder',
  'tear-away': 'tearAway',
  rinse: 'rinse',
  'fray-fluid': 'frayFluid',
  'heat-adhesive': 'fuse'
} as const satisfies Partial<Record<Operation['do'], HandTimeKey>>;

function addHold(hold: Hold, hands: HandTimes, add: (key: HandTimeKey, times?: number) => void): void {
  if (hold.by === 'tape') {
    const strips = hands.tapeStrip * hold.strips;
    if (strips >= hands.tapeLeast) add('tapeStrip', hold.strips);
    else add('tapeLeast');
  } else if (hold.by === 'pins') add('pin');
  else if (hold.by !== 'nothing') add(hold.by);
}

/** Length of a line moved outwards, cm; a line the item does not have counts nothing. */
function alongCm(item: Item, lineId: string, outwardsMm: number): number {
  const path = findLine(item, lineId)?.path;
  if (!path) return 0;
  const moved = path.closed && outwardsMm !== 0 ? (offsetPath(path, outwardsMm) ?? path) : path;
  return pathLength(moved) / 10;
}
