import type { PaperLine } from '$lib/core/reading/pages';

/** A numbered sentence of an instruction sheet. */
export interface Instruction {
  number: number;
  text: string;
  /** Lines of the paper it stands on. */
  lines: number[];
}

/** Words with which makers’ instructions begin. */
const ORDERS =
  /^(?:now |then |next,? |again |carefully |gently )?(?:add|align|attach|baste|bring|centre|center|change|check|clip|close|cover|cut|dissolve|dry|embroider|finish|flip|float|fold|fuse|glue|hold|hoop|insert|iron|join|keep|lay|leave|let|lift|load|make|match|mount|move|open|peel|pin|place|position|press|pull|punch|push|put|quilt|re-?hoop|release|remove|repeat|return|rinse|run|score|secure|set|sew|skip|slide|smooth|soak|spray|start|steam|stick|stitch|switch|take|tape|tear|thread|topstitch|trim|tuck|turn|unfold|unhoop|unpin|untape|use|wait|wash|wind|with|work|wrap|zip|the|this|while|when|if|do|fill|do not|don['’]t|once|after|before)\b/i;

/**
 * Takes the numbered sentences of an instruction sheet out of a paper’s lines; a sentence may run on over lines.
 *
 * @returns the instructions, and the lines that are none
 *
 * @example
 * readInstructions(linesOfText(['3. Lay the felt over the line.'])).instructions[0]
 * // { number: 3, text: 'Lay the felt over the line.', lines: [1] }
 */
export function readInstructions(lines: PaperLine[]): { instructions: Instruction[]; rest: PaperLine[] } {
  const instructions: Instruction[] = [];
  const rest: PaperLine[] = [];
  let open: { page: number; y: number; x: number } | null = null;
  for (const line of lines) {
    const text = line.cells.map((cell) => cell.text).join(' ');
    const found = /^(?:step\s*)?(\d{1,2})\s*[.):–-]?\s+(\D.*)$/i.exec(text);
    const last = instructions.at(-1);
    const x = line.cells[0]?.x ?? 0;
    const at = { page: line.page, y: line.y, x };
    if (found?.[1] && found[2] && isSentence(found[2], text, line)) {
      instructions.push({ number: Number(found[1]), text: found[2].trim(), lines: [line.line] });
      open = at;
    } else if (open && last && runsOn(line, open, text)) {
      last.text = `${last.text} ${text}`;
      last.lines.push(line.line);
      open = { ...at, x: open.x };
    } else {
      rest.push(line);
      open = null;
    }
  }
  // One lone sentence among the rows of a chart is a remark, not an instruction sheet.
  if (instructions.length === 1) return { instructions: [], rest: lines };
  return { instructions, rest };
}

function isSentence(body: string, text: string, { cells }: PaperLine): boolean {
  if (cells.length > 2) return false;
  const words = body.split(/\s+/);
  if (words.length < 2) return false;
  if (/\d\s*(?:stitches|sts)\b/i.test(text)) return false;
  return ORDERS.test(body)
    ? words.length >= 3 || /[.!]$/.test(body)
    : words.length >= 4 && /[.!]$/.test(body);
}

/** A line without a number, set in like the sentence above it and near below. */
function runsOn(line: PaperLine, open: { page: number; y: number; x: number }, text: string): boolean {
  if (line.cells.length > 1 || line.page !== open.page || line.y - open.y > 2.2 * line.height) return false;
  const x = line.cells[0]?.x ?? 0;
  if (/^\W*(?:total|sum|size|page|colou?r|stops?|stitches|no\b)/i.test(text)) return false;
  return x >= open.x - 0.5 * line.height && /\p{L}/u.test(text);
}
