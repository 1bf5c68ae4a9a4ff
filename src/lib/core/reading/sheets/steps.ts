import type { PaperLine } from '$lib/core/reading/pages';
import { isList } from './entries';
import { saysSize } from './measures';
import { verbOf } from './segments';
import { joined, type SheetStep } from './step';
import { barred, type FlowLine, newspaperFlow, numberedTable } from './flow';

interface Start {
  /** The number as printed. */
  label: string;
  value: number | null;
  rest: string;
}

type Style = (text: string) => Start | undefined;

const ROMAN: Readonly<Record<string, number>> = { i: 1, v: 5, x: 10, l: 50, c: 100 };

/** Ways in which sheets begin a step. */
const STYLES: readonly Style[] = [
  (text) => {
    const found =
      /^(?:>\s*)?[*_#\s]*((?:step|no\.?|nr\.?|number|stage|task|part)\s*#?\s*(\d{1,3}|[ivx]{1,6}))\b[*_]*\s*[.:)\]|–—-]*\s*(.*)$/i.exec(
        text
      );
    if (!found?.[1] || !found[2]) return undefined;
    const value = /^\d/.test(found[2]) ? Number(found[2]) : romanOf(found[2]);
    return { label: found[1], value, rest: found[3] ?? '' };
  },
  (text) => {
    const found = /^[*_\s]*[([]?(\d{1,3})(?:\s*[.):\]|/]+|\s*[–—-](?=\s)|(?=\s+\p{Lu}))[*_]*\s*(.*)$/u.exec(
      text
    );
    return found?.[1] ? { label: found[1], value: Number(found[1]), rest: found[2] ?? '' } : undefined;
  },
  (text) => {
    const found = /^([A-Z]\s?(\d{1,2}))[.):–-]?\s+(.*)$/.exec(text);
    return found?.[1] && found[2]
      ? { label: found[1], value: Number(found[2]), rest: found[3] ?? '' }
      : undefined;
  },
  (text) => {
    const found = /^[([]?([IVXL]{1,6}|[ivxl]{1,6})\s*[.):\]–-]\s*(.*)$/.exec(text);
    return found?.[1] ? { label: found[1], value: romanOf(found[1]), rest: found[2] ?? '' } : undefined;
  },
  (text) => {
    const found = /^[([]?([a-zA-Z])\s*[.)\]]\s+(.*)$/.exec(text);
    return found?.[1]
      ? { label: found[1], value: found[1].toLowerCase().charCodeAt(0) - 96, rest: found[2] ?? '' }
      : undefined;
  },
  (text) => {
    const found = /^((?:stop|colou?r)\s*#?\s*(\d{1,3}))\b\s*[–—:.-]+\s*\p{L}/iu.exec(text);
    return found?.[1] && found[2]
      ? { label: found[1], value: Number(found[2]), rest: /[.!?]$/.test(text) ? text : `${text}.` }
      : undefined;
  },
  (text) => {
    const found = /^(?:[•◦▪●○■‣►▸✓✔☐□*>]|[-–—](?=\s))\s*(?:\[[ x]?\]\s*)?(.*)$/.exec(text);
    return found ? { label: '', value: null, rest: found[1] ?? '' } : undefined;
  }
];

/** Steps a style must tell before a sheet is read by it. */
const FEW = 3;

/**
 * The steps of an instruction sheet in reading order, by whatever numbers it uses: words, figures, letters, Roman numbers,
 * bullets, rows of a table; a sheet without any is read paragraph by paragraph.
 *
 * @example
 * stepsOf(linesOfText(['Step 1', 'Hoop the felt.', '', 'Step 2', 'Sew stop 1.']))[1]?.number // 'Step 2'
 */
export function stepsOf(lines: readonly PaperLine[]): SheetStep[] {
  const table = numberedTable(lines);
  if (table) return table;
  const flow =
    barred(lines) ?? newspaperFlow(lines, (text) => STYLES.some((style) => style(text) !== undefined));
  let best: { starts: Map<number, Start>; score: number } | undefined;
  for (const [at, style] of STYLES.entries()) {
    const starts = startsOf(flow, style);
    const score = starts.size * (at === 0 ? 1.5 : at === STYLES.length - 1 ? 0.7 : 1);
    if (starts.size >= FEW && (!best || score > best.score)) best = { starts, score };
  }
  return best ? between(flow, best.starts) : paragraphs(flow);
}

/** Lines that begin a step in a style: their numbers count up, or begin again after a heading. */
function startsOf(flow: readonly FlowLine[], style: Style): Map<number, Start> {
  const found = flow.flatMap(({ text }, at) => {
    const start = style(text);
    // A line of the list with its size is no step, unless it begins with what to do.
    return start && (!saysSize(text) || verbOf(start.rest) !== undefined) ? [{ at, start }] : [];
  });
  const isBullet = found.every(({ start }) => start.value === null);
  if (isBullet) return new Map(found.map(({ at, start }) => [at, start]));
  const chains: (typeof found)[] = [];
  for (const each of found) {
    const { value } = each.start;
    if (value === null) continue;
    const chain = chains.findLast((own) => own.at(-1)?.start.value === value - 1);
    if (chain) chain.push(each);
    else if (value <= 1) chains.push([each]);
  }
  const long = chains.filter((chain) => chain.length >= FEW || chains.length === 1);
  const kept = long.flat().sort((a, b) => a.at - b.at);
  return new Map(kept.map(({ at, start }) => [at, start]));
}

/** The text between starts; what comes after the last step, or after a gap, is none of it. */
function between(flow: readonly FlowLine[], starts: ReadonlyMap<number, Start>): SheetStep[] {
  const steps: SheetStep[] = [];
  let section: string | null = null;
  let open = false;
  flow.forEach(({ line, text, gap }, at) => {
    const start = starts.get(at);
    if (start) {
      steps.push({ number: start.label, section, parts: [{ text: start.rest.trim(), lines: [line] }] });
      open = true;
      return;
    }
    const own = steps.at(-1)?.parts[0];
    // What is hooped may stand above the first stop.
    const hoops = own ? undefined : /(?:^|[.!]\s+)(hoop(?:ing)?\b.*)$/i.exec(text)?.[1];
    if (hoops !== undefined)
      steps.push({ number: '', section: null, parts: [{ text: hoops.trim(), lines: [line] }] });
    if (!own || !open) {
      if (own && isHeading(text)) section = text.trim();
      return;
    }
    const isEmpty = own.text === '';
    const hasNext = [...starts.keys()].some((later) => later > at);
    if (gap && !isEmpty) {
      if (isHeading(text) && hasNext) {
        section = text.trim();
        open = false;
        return;
      }
      // A further paragraph belongs to a step only while others follow, or it would swallow the foot of the page.
      if (!hasNext) {
        open = false;
        return;
      }
    }
    own.text = joined(own.text, text.trim());
    own.lines.push(line);
  });
  return steps.filter(({ parts }) => parts.some(({ text }) => text !== ''));
}

/** A short line without an end: the name of what follows. */
function isHeading(text: string): boolean {
  return text.trim().split(/\s+/).length <= 7 && !/[.!?;,]$/.test(text.trim()) && /^\W*\p{Lu}/u.test(text);
}

/** A sheet without numbers: every paragraph is a step; what stands above the first sentence is none. */
function paragraphs(flow: readonly FlowLine[]): SheetStep[] {
  const steps: SheetStep[] = [];
  for (const { line, text, gap } of flow) {
    const lists =
      isList(text) ||
      /^\W*(?:materials?|supplies|you(?:['’]ll| will)? need|cut|what you need|pieces)\b[^.]*:/i.test(text);
    if (lists || (saysSize(text) && !/[.!?]$/.test(text.trim()))) continue;
    const last = steps.at(-1);
    if (!last || gap)
      steps.push({ number: null, section: null, parts: [{ text: text.trim(), lines: [line] }] });
    else {
      const own = last.parts[0];
      if (!own) continue;
      own.text = joined(own.text, text.trim());
      own.lines.push(line);
    }
  }
  return steps.filter(({ parts }) => /[.!?](?:\s|$|["”’)])/.test(parts[0]?.text ?? ''));
}

function romanOf(text: string): number | null {
  const digits = [...text.toLowerCase()].map((letter) => ROMAN[letter] ?? 0);
  const sum = digits.reduce(
    (total, digit, at) => total + (digit < (digits[at + 1] ?? 0) ? -digit : digit),
    0
  );
  return sum > 0 ? sum : null;
}
