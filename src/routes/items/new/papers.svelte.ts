import type { Path } from '$lib/core/base/geometry';
import type { Role } from '$lib/core/documents/item';
import type { DrawingReading } from '$lib/core/reading/drawings';
import type { Paper } from '$lib/core/reading/pages';
import {
  type ChartReading,
  drawnAround,
  type Instruction,
  outlineChoices,
  readChart,
  readPaper,
  type ReadRow,
  rowsOfDrawing,
  rowsOfList,
  type ThreadMeaning
} from '$lib/core/reading/papers';
import { isStitchList, type ListReading, readStitchList } from '$lib/core/stitching/stitches';
import type { Brought } from '$lib/files';

/** Where the stops of a new item come from. */
export type ChartSource =
  | { kind: 'text' }
  | { kind: 'paper'; name: string; paper: Paper; note: string | null }
  | { kind: 'drawing'; name: string; drawing: DrawingReading }
  | { kind: 'list'; name: string; list: ListReading };

/** Everything a maker has brought for a new item, and what was said about it. */
export class Papers {
  source = $state.raw<ChartSource>({ kind: 'text' });
  text = $state('');
  setAside = $state.raw<number[]>([]);
  /** Lines of a paper written anew, by number. */
  corrections = $state.raw<Readonly<Record<number, string>>>({});
  /** Roles the maker chose, by line. */
  roles = $state.raw<Readonly<Record<number, Role>>>({});
  /** What the maker says the thread lengths mean. */
  meant = $state.raw<ThreadMeaning | null>(null);
  /** An instruction sheet on a paper of its own. */
  sheet = $state.raw<{ name: string; instructions: Instruction[] } | null>(null);
  /** A drawing that gives outlines. */
  drawing = $state.raw<{ name: string; drawing: DrawingReading } | null>(null);
  archive = $state.raw<Extract<Brought, { kind: 'archive' }> | null>(null);
  refused = $state.raw<{ name: string; message: string } | null>(null);

  readonly reading: ChartReading | null = $derived.by(() => {
    if (this.source.kind === 'text') return readChart(this.text, this.setAside);
    return this.source.kind === 'paper'
      ? readPaper(this.source.paper, this.setAside, this.corrections)
      : null;
  });
  readonly outlines = $derived(this.drawing ? outlineChoices(this.drawing.drawing) : []);
  readonly instructions: Instruction[] = $derived([
    ...(this.reading?.instructions ?? []),
    ...(this.sheet?.instructions ?? [])
  ]);
  readonly meaning: ThreadMeaning = $derived(this.meant ?? this.reading?.thread.meaning ?? 'used');

  /** The rows as read, with the roles the maker chose. */
  rows: ReadRow[] = $derived.by(() => this.rowsAround(null));

  /** The rows, a drawing’s laid so that the chosen outline has its size and place. */
  rowsAround(outline: { path: Path; size: { width: number; height: number } } | null): ReadRow[] {
    return this.#rows(outline).map((row) => {
      const role = this.roles[row.line];
      return role ? { ...row, role, confidence: 1 } : row;
    });
  }

  #rows(outline: { path: Path; size: { width: number; height: number } } | null): ReadRow[] {
    switch (this.source.kind) {
      case 'drawing':
        return rowsOfDrawing(
          outline ? drawnAround(this.source.drawing, outline.path, outline.size) : this.source.drawing
        );
      case 'list':
        return rowsOfList(this.source.list);
      default:
        return this.reading?.rows ?? [];
    }
  }

  /** Takes up what a file turned out to be; a document is the page’s own business. */
  take(brought: Brought): void {
    this.refused = null;
    switch (brought.kind) {
      case 'refused':
        this.refused = { name: brought.name, message: brought.message };
        return;
      case 'archive':
        this.archive = brought;
        return;
      case 'document':
        return;
      case 'drawing':
        this.drawing = { name: brought.name, drawing: brought.drawing };
        // A chart knows its stops better than a drawing: then it gives the outline only.
        if (this.rows.length === 0)
          this.#use({ kind: 'drawing', name: brought.name, drawing: brought.drawing });
        return;
      case 'text':
        if (isStitchList(brought.text)) {
          this.#use({ kind: 'list', name: brought.name, list: readStitchList(brought.text) });
          return;
        }
        if (this.#isSheetOnly(readChart(brought.text), brought.name)) return;
        this.#use({ kind: 'text' });
        this.text = brought.text;
        return;
      case 'paper':
        if (this.#isSheetOnly(readPaper(brought.paper), brought.name)) return;
        this.#use({ kind: 'paper', name: brought.name, paper: brought.paper, note: brought.note });
    }
  }

  /** Another text in the place of the one before: line numbers mean other lines now. */
  paste(text: string): void {
    this.#use({ kind: 'text' });
    this.text = text;
  }

  /** Rewrites one line where it stands; everything said about other lines holds. */
  correct(line: number, content: string): void {
    const clean = content.replace(/[\r\n]+/g, ' ');
    if (this.source.kind === 'text') {
      const lines = this.text.split(/\r\n|\r|\n/);
      lines[line - 1] = clean;
      this.text = lines.join('\n');
    } else this.corrections = { ...this.corrections, [line]: clean };
  }

  /** A numbered sheet beside a chart that is there already adds to it. */
  #isSheetOnly({ rows, instructions }: ChartReading, name: string): boolean {
    if (rows.length > 0 || instructions.length === 0) return false;
    this.sheet = { name, instructions };
    return true;
  }

  #use(source: ChartSource): void {
    this.source = source;
    this.text = '';
    this.setAside = [];
    this.corrections = {};
    this.roles = {};
    this.meant = null;
  }
}
