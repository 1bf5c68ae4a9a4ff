import type { Path } from '$lib/core/base/geometry';
import type { Role } from '$lib/core/documents/item';
import type { DrawingReading } from '$lib/core/reading/drawings';
import { type Paper, textOf } from '$lib/core/reading/pages';
import {
  type ChartReading,
  drawnAround,
  type KnownLayout,
  layoutSaying,
  type Instruction,
  outlineChoices,
  type ReadList,
  type ReadRow,
  rowsOfDrawing,
  rowsOfList,
  type ThreadMeaning
} from '$lib/core/reading/papers';
import { isSameLayout, type PaperField, type PaperLayout, type Shop } from '$lib/core/documents/shop';
import { isStitchList, type ListReading, readStitchList } from '$lib/core/stitching/stitches';
import type { Brought } from '$lib/files';
import { type Interpreted, PaperReader, type ToldLike } from '$lib/workers';
import type { Face, Item } from '$lib/core/documents/item';

/** Where the stops of a new item come from. */
export type ChartSource =
  | { kind: 'text' }
  | { kind: 'paper'; name: string; paper: Paper; note: string | null }
  | { kind: 'drawing'; name: string; drawing: DrawingReading }
  | { kind: 'list'; name: string; list: ListReading };

/** What an item calls the kinds of source. */
const SOURCES = {
  text: 'pasted-chart',
  paper: 'pdf-chart',
  drawing: 'drawing',
  list: 'stitch-list'
} as const;
/** Letters of a paper that an item keeps. */
const MOST_TEXT = 200_000;

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
  sheet = $state.raw<{ name: string; source: string | Paper; reading: ChartReading } | null>(null);
  /** The instruction sheet as an item, as far as it is made of sentences. */
  told = $state.raw<Interpreted | null>(null);
  /** A drawing that gives outlines. */
  drawing = $state.raw<{ name: string; drawing: DrawingReading } | null>(null);
  archive = $state.raw<Extract<Brought, { kind: 'archive' }> | null>(null);
  refused = $state.raw<{ name: string; message: string } | null>(null);
  /** What was read of the text or paper; it is read again in a worker whenever the maker says more about it. */
  reading = $state.raw<ChartReading | null>(null);
  /** Why the paper was not read, or no item was made of the sheet; null where that went well. */
  unread = $state<string | null>(null);
  untold = $state<string | null>(null);
  /** Answers that the chart gives for a construction. */
  charted = $state.raw<{ kind: string; answers: Record<string, unknown> } | null>(null);
  /** What the chart may be of, the likeliest first; null while nobody knows. */
  like = $state.raw<ToldLike[] | null>(null);
  /** How the maker says the columns of this paper are laid out. */
  layout = $state.raw<KnownLayout | null>(null);
  /** Which of several lists on the paper comes first; the others become variants. */
  firstList = $state(0);
  readonly #reader = new PaperReader();
  /** Layouts that the shop keeps. */
  readonly #kept: () => readonly PaperLayout[];

  #forgotten: PaperLayout[] = [];

  constructor(kept: () => readonly PaperLayout[] = () => []) {
    this.#kept = kept;
  }

  get #known(): PaperLayout[] {
    return this.#kept().filter((each) => !this.#forgotten.some((gone) => isSameLayout(gone, each)));
  }

  /** The kept layout that this paper was read by, if one was. */
  readonly readBy: PaperLayout | undefined = $derived.by(() => {
    const used = this.reading?.layout;
    if (!used?.settled || this.layout) return undefined;
    return this.#kept().find((kept) => isSameLayout(kept, used));
  });
  readonly lists: ReadList[] = $derived(this.reading?.lists ?? []);
  readonly outlines = $derived(this.drawing ? outlineChoices(this.drawing.drawing) : []);
  readonly instructions: Instruction[] = $derived([
    ...(this.reading?.instructions ?? []),
    ...(this.sheet?.reading.instructions ?? [])
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
      default: {
        const all = this.reading?.rows ?? [];
        const list = this.lists[this.firstList] ?? this.lists[0];
        return list ? all.filter(({ line }) => list.lines.includes(line)) : all;
      }
    }
  }

  /** The lists that become variants, with their rows. */
  get further(): { name: string; size: { width: number; height: number } | null; rows: ReadRow[] }[] {
    const first = this.lists[this.firstList] ?? this.lists[0];
    return this.lists
      .filter((list) => list !== first)
      .map(({ name, facts, lines }) => ({
        name,
        size: facts.size,
        rows: (this.reading?.rows ?? []).filter(({ line }) => lines.includes(line))
      }));
  }

  /** Says what a column of the paper holds; every row follows. */
  sayColumn(at: number, field: PaperField | null): void {
    const now = this.layout ?? this.reading?.layout;
    if (!now) return;
    this.layout = layoutSaying(now, at, field);
    void this.#read();
  }

  /**
   * Reads the paper as if nothing had been settled about its columns.
   *
   * @param kept the shop’s layout that is forgotten too
   */
  forgetLayout(kept?: PaperLayout): void {
    if (kept) this.#forgotten = [...this.#forgotten, kept];
    this.layout = null;
    void this.#read();
  }

  /** Sets a line aside as no stop, or takes it back. */
  aside(line: number, away: boolean): void {
    this.setAside = away ? [...this.setAside, line] : this.setAside.filter((other) => other !== line);
    void this.#read();
  }

  async #read(): Promise<void> {
    const { source } = this;
    if (source.kind === 'drawing' || source.kind === 'list') {
      this.reading = null;
      return;
    }
    const reading = await this.#reader.read(source.kind === 'text' ? this.text : source.paper, {
      setAside: this.setAside,
      corrections: this.corrections,
      layouts: this.layout ? [this.layout] : this.#known
    });
    if (!reading) return;
    this.unread = reading.ok ? null : `This paper was not read. ${reading.why}`;
    if (reading.ok) this.reading = reading.value;
  }

  /** The paper as an item keeps it: where it came from, its text, the lines that are no stops. */
  get kept(): {
    source: { kind: (typeof SOURCES)[ChartSource['kind']]; name?: string };
    text: string;
    setAside: number[];
  } {
    const { source } = this;
    const text = source.kind === 'text' ? this.text : source.kind === 'paper' ? textOf(source.paper) : '';
    return {
      source: { kind: SOURCES[source.kind], ...(source.kind !== 'text' && { name: source.name }) },
      text: text.slice(0, MOST_TEXT),
      setAside: this.setAside
    };
  }

  /** What the instruction sheet asks for, on a paper of its own or beside the chart. */
  get asked(): { name: string; source: string | Paper; reading: ChartReading } | null {
    if (this.sheet?.reading.sheet) return this.sheet;
    const { reading, source } = this;
    if (!reading?.sheet) return null;
    return source.kind === 'paper'
      ? { name: source.name, source: source.paper, reading }
      : { name: reading.title ?? 'The pasted sheet', source: this.text, reading };
  }

  /** Makes the item that the sheet’s sentences ask for, in the background. */
  async interpret(
    about: Pick<Item, 'id' | 'name'> & { now: string; house: string },
    shop: Shop,
    answers: ReadonlyMap<number, Face>
  ): Promise<void> {
    const sheet = this.asked?.reading.sheet;
    if (!sheet) {
      this.told = null;
      return;
    }
    const { house, ...rest } = about;
    const size = this.reading?.facts.size ?? this.asked?.reading.facts.size ?? null;
    const told = await this.#reader.interpret(
      { ...rest, ...(house !== '' && { house }), sheet, rows: this.rows, size, text: this.kept.text },
      shop,
      answers
    );
    if (!told) return;
    this.untold = told.ok ? null : `No item was made of this sheet. ${told.why}`;
    this.told = told.ok ? told.value : null;
  }

  /** Finds, in the background, the answers of a construction that the chart gives. */
  async fit(kind: string, usual: Readonly<Record<string, unknown>>): Promise<void> {
    if (this.rows.length === 0) {
      this.charted = null;
      return;
    }
    this.charted = null;
    const found = await this.#reader.answersFor(kind, $state.snapshot(this.rows) as ReadRow[], usual);
    // Where nobody knows, the usual answers stand.
    if (found) this.charted = { kind, answers: found.ok ? found.value : {} };
  }

  /** Finds, in the background, what the chart may be of. */
  async tellLike(shop: Shop): Promise<void> {
    this.like = null;
    if (this.rows.length === 0) return;
    const { title = null, facts } = this.reading ?? {};
    const says = { title, size: facts?.size ?? null };
    const told = await this.#reader.builtLike($state.snapshot(this.rows) as ReadRow[], says, shop);
    // Where nobody knows, the maker chooses.
    if (told) this.like = told.ok ? told.value : [];
  }

  /** Ends the reading in the background. */
  close(): void {
    this.#reader.close();
  }

  /** Takes up what a file turned out to be; a document is the page’s own business. */
  async take(brought: Brought): Promise<void> {
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
        if (await this.#isSheetOnly(brought.text, brought.name)) return;
        this.paste(brought.text);
        return;
      case 'paper':
        if (await this.#isSheetOnly(brought.paper, brought.name)) return;
        this.#use({ kind: 'paper', name: brought.name, paper: brought.paper, note: brought.note });
    }
  }

  /** Another text in the place of the one before: line numbers mean other lines now. */
  paste(text: string): void {
    this.#use({ kind: 'text' });
    this.text = text;
    void this.#read();
  }

  /** Rewrites one line where it stands; everything said about other lines holds. */
  correct(line: number, content: string): void {
    const clean = content.replace(/[\r\n]+/g, ' ');
    if (this.source.kind === 'text') {
      const lines = this.text.split(/\r\n|\r|\n/);
      lines[line - 1] = clean;
      this.text = lines.join('\n');
    } else this.corrections = { ...this.corrections, [line]: clean };
    void this.#read();
  }

  /** A numbered sheet beside a chart that is there already adds to it. */
  async #isSheetOnly(source: string | Paper, name: string): Promise<boolean> {
    const reading = await this.#reader.read(source, { layouts: this.#known });
    if (!reading?.ok || reading.value.rows.length > 0 || reading.value.instructions.length === 0)
      return false;
    this.sheet = { name, source, reading: reading.value };
    return true;
  }

  #use(source: ChartSource): void {
    this.source = source;
    this.text = '';
    this.setAside = [];
    this.corrections = {};
    this.roles = {};
    this.meant = null;
    this.layout = null;
    this.firstList = 0;
    this.reading = null;
    this.unread = null;
    this.untold = null;
    if (source.kind !== 'text') void this.#read();
  }
}
