import { shifted } from '$lib/core/base/geometry';
import { choice, count, length, material, stopPart, thread } from '$lib/core/craft/sequence';
import {
  edgedPieces,
  laidOn,
  madePiece,
  type OnePiece,
  pieceFields,
  refusesPiece,
  tackedAndTrimmed,
  webBehind
} from './appliquePiece';
import type { BlockMaker } from './block';
import { CLOTHS } from './hooping';
import type { Site } from './site';
import { spotFields, spotPath } from './spots';

const fields = {
  pieces: count('Pieces', 2, 2, 8),
  ...spotFields(40, 40),
  apart: length('From the middle of one to the next', 50, 5, 300),
  lie: choice('They lie', { beside: 'Side by side', below: 'One below the other' }, 'beside'),
  first: material('First, third … cloth', CLOTHS, ['woven', 'Carriage red', '#8d2f35']),
  second: material('Second, fourth … cloth', CLOTHS, ['woven', 'Cream', '#efe3c4']),
  ...pieceFields,
  thread: thread('Edge thread of the first, third …', 'Brass', '#b58a3c'),
  secondThread: thread('Edge thread of the second, fourth …', 'Brass', '#b58a3c')
} as const;

/** Several shapes of cloth shown by one placement stop, laid in one trip, edged when all of them are on. */
export const pieces: BlockMaker<typeof fields> = {
  kind: 'pieces',
  name: 'Appliqué pieces under one placement line',
  summary: 'Several shapes placed by one stop, laid or fused in one trip, their edges when all are on.',
  group: 'Cloth',
  fields,
  lays: true,
  refuses: (standing, p) => refusesPiece(standing, p, p.first) ?? refusesPiece(standing, p, p.second),
  make(site, p) {
    const all = piecesOf(site, p);
    const label = site.label('Appliqué');
    const [first] = all;
    if (!first) return;
    const ids = all.map(({ own }) => madePiece(site, own));
    const fused = p.method === 'pre-cut';
    webBehind(site, ids, p);
    site.toMachine();
    site.stop(
      'placement',
      stopPart(
        `${label} placement`,
        'placement',
        /appli|place|position/,
        all.map(({ own }) => own.shape),
        { threadOf: first.own.leader, visible: 'hidden' }
      )
    );
    const laid = (at: number): void => {
      const own = all[at]?.own;
      if (own) laidOn(site, ids[at] ?? '', own);
    };
    // A hoop is never ironed on the machine: all that are fused go on in one trip.
    if (fused) {
      site.toTable();
      for (const at of ids.keys()) laid(at);
    }
    all.forEach(({ own }, at) => {
      if (!fused) laid(at);
      tackedAndTrimmed(site, ids[at] ?? '', own);
    });
    site.toMachine();
    edges(site, p, label, all);
  }
};

type Answers = Parameters<(typeof pieces)['make']>[1];
interface Placed {
  own: OnePiece;
  /** Whether it is of the first cloth and thread. */
  odd: boolean;
}

const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth'];

function piecesOf(site: Site, p: Answers): Placed[] {
  const ends = p.edge === 'raw' || p.edge === 'later';
  return Array.from({ length: p.pieces }, (_, at) => {
    const away = (at - (p.pieces - 1) / 2) * p.apart;
    const path = shifted(spotPath(p), p.lie === 'beside' ? away : 0, p.lie === 'beside' ? 0 : away);
    const odd = at % 2 === 0;
    const part = String(at + 1);
    const label = `${ORDINALS[at] ?? part} ${site.label('Appliqué').toLowerCase()}`;
    return {
      odd,
      own: {
        ...p,
        part,
        label,
        shape: site.line(`shape-${part}`, label, path),
        cloth: odd ? p.first : p.second,
        thread: odd ? p.thread : p.secondThread,
        leader: site.key(ends ? '1-tack' : 'edge')
      }
    };
  });
}

/** One stop for the edges of each thread. */
function edges(
  site: Site,
  { edge, thread: first, secondThread }: Answers,
  label: string,
  all: Placed[]
): void {
  if (edge === 'raw' || edge === 'later') return;
  const linesOf = (some: Placed[]): string[] => some.map(({ own }) => own.shape);
  const alike = first.name === secondThread.name && first.colour === secondThread.colour;
  if (alike) {
    edgedPieces(site, 'edge', `${label} edges`, linesOf(all), { edge, thread: first });
    return;
  }
  const [odd, even] = [all.filter(({ odd }) => odd), all.filter(({ odd }) => !odd)];
  edgedPieces(site, 'edge', `${label} edges`, linesOf(odd), { edge, thread: first });
  edgedPieces(site, 'second-edge', `${label} edges, second colour`, linesOf(even), {
    edge,
    thread: secondThread
  });
}
