import { does } from '$lib/core/craft/operations';
import { box } from '$lib/core/base/geometry';
import { estimateAlong } from '$lib/core/craft/sequence';
import { type Item, ITEM_VERSION, namesIn, type Role, ROLE_WORDS, type Stop } from '$lib/core/documents/item';
import { colourOf } from '$lib/core/reading/evidence';
import { capitalised, phasesOf, ThreadRack } from '$lib/core/reading/matching';
import type { ReadRow } from '$lib/core/reading/papers';
import type { SheetReading } from '$lib/core/reading/sheets';
import type { DraftStep } from './draftStep';
import { FIRST_HOOPING, inHoopings } from './hoopings';
import { linesFor, outlineSize } from './lines';
import { hoopedFirst, together, withMoves } from './moves';
import { closingOf } from './closing';
import { opsOf, threadName } from './operations';
import { Pieces } from './placing';
import type { Settled } from './settled';
import { type Apart, NOT_APART } from './spots';

/** What an item is made from: a sheet, and the rows of its chart where there is one. */
export interface Papers {
  id: string;
  name: string;
  /** Time of making, ISO 8601. */
  now: string;
  sheet: SheetReading;
  rows: readonly ReadRow[];
  size: { width: number; height: number } | null;
  house?: string;
  /** The papers as text, kept with the item. */
  text: string;
}

/** An item as one reading of a sheet makes it. */
export interface Draft {
  item: Item;
  steps: DraftStep[];
  /** Layings whose face the sheet leaves open, by place of their action. */
  open: number[];
}

/**
 * Makes an item of a sheet, step for step as its sentences say, with what they leave open settled in one way.
 *
 * @param apart pieces that lie side by side although each is as large as the outline
 */
export function draftOf(papers: Papers, settled: Settled = new Map(), apart: Apart = NOT_APART): Draft {
  const { sheet, rows } = papers;
  const threads = new ThreadRack();
  const size = outlineSize(sheet, papers.size);
  const pieces = new Pieces(sheet, size, apart);
  const stops = stopsOf(papers, threads, pieces, settled);
  const lines = linesFor(size, pieces.seams, closingOf(sheet), FIRST_HOOPING);
  for (const { id, name, top, bottom } of pieces.panels)
    lines.push({
      id,
      name,
      frame: FIRST_HOOPING,
      path: box(-size.width / 2, top, size.width / 2, bottom),
      gaps: []
    });
  for (const { id, piece, x, y, width, height } of pieces.spots)
    lines.push({
      id,
      name: `Place of ${piece}`.slice(0, 80),
      frame: FIRST_HOOPING,
      path: box(x - width / 2, y - height / 2, x + width / 2, y + height / 2),
      gaps: []
    });
  const paths = new Map(lines.map(({ id, path }) => [id, path]));
  for (const stop of stops) {
    const along = stop.lineIds.flatMap((id) => paths.get(id) ?? []);
    const estimate = estimateAlong(along, stop.role, 1, undefined);
    stop.phases = stop.chart?.stitches == null ? estimate : phasesOf(stop.chart.stitches, estimate);
  }
  const steps: DraftStep[] = [];
  const open: number[] = [];
  const last = Math.max(0, ...stops.map(({ number }) => number ?? 0));
  for (let after = 0; after <= last; after++) {
    const stop = stops.find(({ number }) => number === after);
    if (stop)
      steps.push({
        id: stop.id,
        op: { stop: stop.id },
        action: null,
        sentence: sheet.stops.find(({ n }) => n === after)?.sentence ?? null
      });
    sheet.actions.forEach((action, at) => {
      if (action.after !== after && !(after === last && action.after > last)) return;
      const isOpen = action.action === 'lay' && action.faceFromAbove === null;
      if (isOpen) open.push(at);
      for (const [nth, op] of opsOf(action, at, { pieces, threads, settled, sheet }).entries())
        steps.push({
          id: `action-${at + 1}${nth > 0 ? `-${nth + 1}` : ''}`,
          op,
          action: at,
          sentence: action.sentence
        });
    });
  }
  const begun = hoopedFirst(
    steps,
    pieces.id(sheet.pieces.find(({ role }) => role === 'stabiliser')?.name ?? null)
  );
  const made = pieces.made(begun);
  const kept = begun.filter(
    ({ op }) =>
      'stop' in op ||
      namesIn(op).every(({ kind, id }) => kind !== 'piece' || made.some((piece) => piece.id === id))
  );
  const whole = withMoves(together(kept));
  if (threads.all.length === 0) threads.take('Your choice');
  const used = new Set([
    ...stops.flatMap(({ lineIds }) => lineIds),
    ...whole.flatMap(({ op }) => ('do' in op ? (does(op, 'lay')?.edge?.lineId ?? []) : []))
  ]);
  const hooped = inHoopings({
    steps: whole,
    lines: lines.filter(({ id }) => !/^(?:rim|top)-/.test(id) || used.has(id)),
    stops,
    pieces: made
  });
  const item: Item = {
    schema: 'jolt-step/item',
    version: ITEM_VERSION,
    id: papers.id,
    name: papers.name,
    note: '',
    ...(papers.house && { house: papers.house }),
    params: {},
    createdAt: papers.now,
    updatedAt: papers.now,
    threads: threads.all,
    variants: [
      {
        id: 'variant-1',
        name: 'As drawn',
        shape: 'rounded',
        size: pieces.reach,
        finished: size,
        edge: closingOf(sheet) ? 'turned' : 'cut edge',
        overrides: {},
        lines: {},
        phases: {},
        pieces: {},
        ops: {}
      }
    ],
    hoopings: hooped.hoopings,
    files: [
      {
        id: 'file-1',
        variantId: 'variant-1',
        name: papers.name,
        ...(rows.length > 0 && {
          source: { kind: 'pasted-chart' as const, text: papers.text.slice(0, 200_000), setAside: [] }
        }),
        stops: hooped.stops
      }
    ],
    lines: hooped.lines,
    pieces: hooped.pieces,
    steps: hooped.steps.map(({ id, op }, at) => ({
      id,
      hoopingId: hooped.of[at] ?? FIRST_HOOPING,
      needs: [],
      note: '',
      ...('stop' in op ? { kind: 'stop' as const, stopId: op.stop, pass: 1 } : { kind: 'hand' as const, op })
    })),
    remarks: [],
    answers: []
  };
  markHalts(item);
  return { item, steps: hooped.steps, open };
}

function markHalts({ steps, files }: Item): void {
  for (const stop of files.flatMap((file) => file.stops)) {
    const at = steps.findIndex((step) => step.kind === 'stop' && step.stopId === stop.id);
    stop.halts = steps[at + 1]?.kind !== 'stop';
  }
}

/** Stops of the sheet and of the chart: numbers that both have are one stop, counts and colours are the chart’s. */
function stopsOf({ sheet, rows }: Papers, threads: ThreadRack, pieces: Pieces, settled: Settled): Stop[] {
  const numbers = [
    ...new Set([...sheet.stops.map(({ n }) => n), ...rows.map(({ number }, at) => number ?? at + 1)])
  ].sort((a, b) => a - b);
  const closing = closingOf(sheet) ? Math.max(...sheet.stops.map(({ n }) => n)) : null;
  let thread = threads.take('Your choice');
  return numbers.map((number): Stop => {
    const said = sheet.stops.find(({ n }) => n === number);
    const row = rows.find((each, at) => (each.number ?? at + 1) === number);
    // Work is turned through its last seam; what holds a folded back is part of it.
    const isClosing = number === closing || (closing !== null && pieces.joinsBack(number, settled));
    const role = isClosing || pieces.isEnvelopeSeam(number) ? 'closing-seam' : roleOf(said, row);
    const changed = sheet.actions.findLast(
      ({ action, after }) => action === 'change-thread' && after === number - 1
    );
    if (row?.colour) thread = threads.take(row.colour, colourOf(row.colour));
    else if (changed) {
      const name = threadName(
        changed.text,
        sheet.stops.filter(({ sentence, n }) => sentence === changed.sentence && n < number).length
      );
      thread = threads.take(name, colourOf(name));
    }
    const { line, name, colour, stitches, threadMetres } = row ?? {
      line: 1,
      name: '',
      colour: '',
      stitches: null,
      threadMetres: null
    };
    return {
      id: `stop-${number}`,
      number,
      name: (row?.name || nameSaid(said?.text) || capitalised(ROLE_WORDS[role])).slice(0, 200),
      ...(row && { chart: { line, number: row.number, name, colour, stitches, threadMetres } }),
      role,
      confidence: Math.max(said?.confidence ?? 0, row?.confidence ?? 0),
      threadId: thread,
      visible: 'unknown',
      countSource: stitches === null ? 'estimate' : 'chart',
      phases: [],
      lineIds: [
        pieces.seamBefore(number) ??
          (role === 'topstitch' ? pieces.besideSeam(number) : undefined) ??
          (ON_DESIGN.has(role) ? undefined : pieces.spotAt(number)) ??
          (isClosing && (number === closing || pieces.zip === undefined)
            ? 'closing'
            : ON_DESIGN.has(role)
              ? 'design'
              : 'outline')
      ],
      halts: true,
      protected: role === 'satin-edge',
      through: isClosing || /\b(?:through (?:everything|all)|all layers)\b/i.test(said?.text ?? '')
    };
  });
}

const ON_DESIGN: ReadonlySet<Role> = new Set([
  'decoration',
  'lettering',
  'quilting',
  'lace',
  'bars',
  'lace-underlay'
]);

/** Words of the chart and of the sheet for one stop: the surer of the two. */
function roleOf(
  said: { role: Role; confidence: number } | undefined,
  row: { role: Role; confidence: number } | undefined
): Role {
  if (!said || !row) return said?.role ?? row?.role ?? 'decoration';
  return row.confidence >= said.confidence ? row.role : said.role;
}

/** What a sheet says of a stop beside that it runs: “the lamp and its glow”. */
function nameSaid(text: string | undefined): string | undefined {
  const bare = (text ?? '')
    .replace(/^(?:now\s+|then\s+)?(?:sew|stitch(?: out)?|run|embroider|change to \p{L}+ for)\s+/iu, '')
    .replace(
      /^(?:the\s+)?(?:(?:next|first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|last|final)\s+)?(?:(?:two|three|four|five)\s+)?(?:colou?r\s+)?(?:stops?|colou?rs?)\s*#?\d*(?:\s*(?:to|and|–|-)\s*\d+)?\s*[:,–-]?\s*/i,
      ''
    )
    .replace(/^(?:slowly|again|with the .* thread|it out)\b[,\s]*/i, '')
    .replace(/^which\s+/i, '')
    .replace(/,\s*which\b.*$/i, '')
    .replace(/^(?:the|an?)\s+(?=\p{L}{3})/iu, '');
  return /\p{L}{3}/u.test(bare) ? capitalised(bare) : undefined;
}
