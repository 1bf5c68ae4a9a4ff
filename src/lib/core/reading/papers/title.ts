import type { PaperLine } from '$lib/core/reading/pages';

/** Lines at the top among which a paper’s title stands. */
const TOP = 12;
const LONGEST = 60;
/** What papers call themselves, beside the name of what they are about. */
const OF_THE_PAPER =
  /\b(?:colou?r|thread|stitch|stop|embroidery|machine)?\s*(?:charts?|sheets?|sequence|instructions?|lists?|order)\b|\bread me\b/giu;

/**
 * The name of what a paper is about: what stands largest above its rows, else its first short line of words.
 *
 * @param lines lines of the paper that are no rows, in their order
 * @param before line of the first row; Infinity where there is none
 *
 * @example
 * titleOf(linesOfText(['Badger key fob – colour chart', '', '1 placement grey 120']), 3) // 'Badger key fob'
 */
export function titleOf(lines: readonly PaperLine[], before: number): string | null {
  const likely = lines
    .filter(({ line }) => line < before)
    .slice(0, TOP)
    .flatMap(({ text, height }) => {
      const bare = text.replace(/"/g, '').split(/\s{2,}|\s[|·]\s|:\s*$/)[0] ?? '';
      const name = bare
        .replace(/^\W*(?:design|item|project|name|title|pattern|subject)\s*[:=;,]\s*/i, '')
        .replace(OF_THE_PAPER, ' ')
        .replace(/\s+/g, ' ')
        .replace(/^[\s#*=_–—:,.;|-]+|[\s#*=_–—:,.;|-]+$/g, '');
      const words = name.match(/\p{L}{2,}/gu)?.length ?? 0;
      const digits = name.replace(/\D/g, '').length;
      const isMenu =
        /^\W*(?:skip to|home\b|menu\b|search\b|posted\b|share\b|log ?in\b|sign ?in\b|subscribe\b|leave a|page \d)/i.test(
          bare
        );
      const isSentence = /[.!?]$/.test(bare.trim()) || words > 8;
      return words > 0 && name.length <= LONGEST && digits * 2 < name.length && !isSentence && !isMenu
        ? [{ name, height }]
        : [];
    });
  const largest = Math.max(...likely.map(({ height }) => height));
  return likely.find(({ height }) => height >= largest * 0.98)?.name ?? null;
}
