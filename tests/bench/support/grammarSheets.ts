/** Layouts of the grammar on pages: words with places, as a PDF gives them. */
import type { Page, PaperWord } from '$lib/core/reading/pages';
import { facts, type SetChart, type Write, type Written } from './grammarCells';
import { pick } from './random';

const HEIGHT = 10;

/** About as wide as a sans-serif prints it. */
function widthOf(text: string, size = HEIGHT): number {
  return [...text].reduce(
    (sum, letter) =>
      sum +
      size *
        (/[iljI.,:;|' ]/.test(letter)
          ? 0.27
          : /[mwMW@%]/.test(letter)
            ? 0.86
            : /[A-Z]/.test(letter)
              ? 0.67
              : 0.54),
    0
  );
}

class Sheet {
  pages: Page[] = [{ width: 595, height: 842, words: [] }];
  constructor(readonly random: () => number) {}
  put(text: string, x: number, y: number, right = false, size = HEIGHT, font = 'text'): void {
    if (text === '') return;
    const width = widthOf(text, size);
    this.page.words.push({ text, x: right ? x - width : x, y, width, height: size, font });
  }
  get page(): Page {
    return this.pages.at(-1) as Page;
  }
  next(): void {
    this.pages.push({ width: 595, height: 842, words: [] });
  }
  /** As a file may hand it over: words one by one, letters apart, in any order. */
  done(): Written {
    const how = this.random();
    const pages = this.pages.map((page) => {
      let words = page.words;
      if (how < 0.3) words = words.flatMap((word) => pieces(word, /\S+/g));
      else if (how < 0.4) words = words.flatMap((word) => pieces(word, /\S/g));
      if (this.random() < 0.5) words = [...words].sort(() => this.random() - 0.5);
      return { ...page, words };
    });
    return { paper: { pages } };
  }
}

function pieces(word: PaperWord, by: RegExp): PaperWord[] {
  return [...word.text.matchAll(by)].map(({ 0: text, index }) => ({
    ...word,
    text,
    x: word.x + widthOf(word.text.slice(0, index), word.height),
    width: widthOf(text, word.height)
  }));
}

/** Columns as wide as their widest cell, a gap between them. */
function spread(set: SetChart, gap: number, most = 999): { from: number; to: number }[] {
  let x = 40;
  return set.columns.map(({ heading, cells }) => {
    const width = Math.min(most, Math.max(...[heading, ...cells].map((text) => widthOf(text)), 12));
    const own = { from: x, to: x + width };
    x += width + gap;
    return own;
  });
}

export const table: Write = (set, random) => {
  const sheet = new Sheet(random);
  const head = facts(set, random);
  head.forEach((text, at) => sheet.put(text, 40, 40 + at * 14, false, at === 0 ? 15 : HEIGHT));
  const columns = spread(set, 6 + random() * 22);
  const step = pick(random, [13, 15, 20]);
  const perPage = pick(random, [8, 14, 40]);
  let y = 60 + head.length * 14;
  const heading = (): void => {
    if (!set.headed) return;
    set.columns.forEach((column, at) => {
      const { from = 0, to = 0 } = columns[at] ?? {};
      sheet.put(column.heading, column.right ? to : from, y, column.right, HEIGHT, 'bold');
    });
    y += step;
  };
  heading();
  set.chart.rows.forEach((_, row) => {
    if (row > 0 && row % perPage === 0) {
      sheet.put(`page ${sheet.pages.length}`, 280, 820);
      sheet.next();
      y = 50;
      heading();
    }
    set.columns.forEach((column, at) => {
      const { from = 0, to = 0 } = columns[at] ?? {};
      sheet.put(column.cells[row] ?? '', column.right ? to : from, y, column.right);
    });
    y += step;
  });
  if (random() < 0.4) {
    const at = set.columns.findIndex(({ kind }) => kind === 'stitches');
    const { to = 0 } = columns[at] ?? {};
    sheet.put(pick(random, ['Total', 'Sum', 'In all', 'Zusammen']), 40, y + 4);
    if (at > 0) sheet.put(set.total, to, y + 4, true);
  }
  return sheet.done();
};

/** Words broken into lines no wider than a column. */
function broken(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && widthOf(`${last} ${word}`) <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** Narrow columns: headings and labels run over several lines. */
export const wrapped: Write = (set, random) => {
  const sheet = new Sheet(random);
  const columns = spread(set, 14, 78);
  let y = 60;
  const put = (texts: string[]): void => {
    const lines = texts.map((text) => broken(text, 78));
    lines.forEach((own, at) => {
      own.forEach((text, line) => sheet.put(text, columns[at]?.from ?? 0, y + line * 11));
    });
    y += Math.max(...lines.map((own) => own.length)) * 11 + 8;
  };
  if (set.headed) put(set.columns.map(({ heading }) => heading));
  set.chart.rows.forEach((_, row) => {
    if (y > 770) {
      sheet.next();
      y = 50;
    }
    put(set.columns.map(({ cells }) => cells[row] ?? ''));
  });
  return sheet.done();
};

/** Two columns of the page that go on with each other, each a small table. */
export const newspaper: Write = (set, random) => {
  const sheet = new Sheet(random);
  facts(set, random).forEach((text, at) => sheet.put(text, 40, 40 + at * 14));
  const columns = spread(set, 8);
  const width = (columns.at(-1)?.to ?? 0) + 30;
  const half = Math.ceil(set.chart.rows.length / 2);
  [0, 1].forEach((side) => {
    if (set.headed)
      set.columns.forEach((column, at) => {
        sheet.put(column.heading, (columns[at]?.from ?? 0) + side * width, 100, false, HEIGHT, 'bold');
      });
    set.chart.rows.slice(side * half, side * half + half).forEach((_, row) => {
      set.columns.forEach((column, at) => {
        const { from = 0, to = 0 } = columns[at] ?? {};
        const x = (column.right ? to : from) + side * width;
        sheet.put(column.cells[side * half + row] ?? '', x, 118 + row * 14, column.right);
      });
    });
  });
  return sheet.done();
};

/** Cards with their values under each other, in one to three columns, with labels or without. */
export const cards: Write = (set, random) => {
  const sheet = new Sheet(random);
  const widest = Math.max(
    ...set.columns.flatMap(({ heading, cells }) => cells.map((cell) => widthOf(`${heading}: ${cell}`) + 50))
  );
  const across = Math.max(1, Math.min(pick(random, [1, 2, 3]), Math.floor(520 / widest)));
  const numbered = set.columns.find(({ kind }) => kind === 'number');
  const rest = set.columns.filter(({ kind }) => kind !== 'number' && kind !== 'remark');
  const sep = pick(random, [':', '', ' =']);
  const big = random() < 0.4;
  const deep = 14 * (rest.length + 1) + 22;
  const perPage = Math.max(1, Math.floor(700 / deep)) * across;
  facts(set, random)
    .slice(0, 2)
    .forEach((text, at) => sheet.put(text, 40, 40 + at * 14));
  set.chart.rows.forEach((_, row) => {
    const onPage = row % perPage;
    if (row > 0 && onPage === 0) sheet.next();
    const x = 40 + (onPage % across) * (520 / across);
    let y = 90 + Math.floor(onPage / across) * deep;
    if (numbered) {
      const text = numbered.cells[row] ?? '';
      if (big) sheet.put(text, x, y + 12, false, 18, 'bold');
      else sheet.put(set.headed ? `${numbered.heading} ${text}` : text, x, y, false, HEIGHT, 'bold');
      if (!big) y += 14;
    }
    const inset = big && numbered ? 40 : 0;
    for (const { heading, cells } of rest) {
      const label = set.headed ? `${heading}${sep}` : '';
      const value = cells[row] ?? '';
      sheet.put(label, x + inset, y, false, HEIGHT, 'bold');
      sheet.put(value, x + inset + (label === '' ? 0 : widthOf(label) + 4), y);
      y += 14;
    }
  });
  return sheet.done();
};

/** One stop a column. */
export const turned: Write = (set, random) => {
  const sheet = new Sheet(random);
  const rows = set.chart.rows;
  const per = 3;
  let y = 60;
  for (let from = 0; from < rows.length; from += per) {
    for (const { heading, cells } of set.columns.filter(({ kind }) => kind !== 'remark')) {
      if (set.headed) sheet.put(heading, 30, y, false, 8, 'bold');
      cells.slice(from, from + per).forEach((text, at) => sheet.put(text, 110 + at * 165, y, false, 8));
      y += 14;
    }
    y += 24;
  }
  return sheet.done();
};
