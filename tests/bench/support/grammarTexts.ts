/** Layouts of the grammar as text: typed, in lists, in sentences, with marks between cells. */
import { facts, type Write } from './grammarCells';
import { pick } from './random';

export const fixedWidth: Write = (set, random) => {
  const gap = ' '.repeat(pick(random, [2, 3, 4]));
  const widths = set.columns.map(({ heading, cells }) =>
    Math.max(heading.length, ...cells.map((cell) => cell.length))
  );
  const line = (texts: string[]): string =>
    texts
      .map((text, at) =>
        set.columns[at]?.right ? text.padStart(widths[at] ?? 0) : text.padEnd(widths[at] ?? 0)
      )
      .join(gap)
      .trimEnd();
  return {
    text: [
      ...facts(set, random),
      '',
      ...(set.headed ? [line(set.columns.map(({ heading }) => heading))] : []),
      ...set.chart.rows.map((_, row) => line(set.columns.map(({ cells }) => cells[row] ?? '')))
    ].join('\n')
  };
};

export const leaders: Write = (set, random) => {
  const widths = set.columns.map(({ cells }) => Math.max(...cells.map((cell) => cell.length)) + 4);
  return {
    text: [
      ...facts(set, random),
      '',
      ...set.chart.rows.map((_, row) =>
        set.columns
          .map(({ cells }, at) => {
            const text = cells[row] ?? '';
            return at === set.columns.length - 1 || set.columns[at]?.kind === 'number'
              ? `${text} `
              : `${text} `.padEnd(widths[at] ?? 0, '.') + ' ';
          })
          .join('')
          .trimEnd()
      )
    ].join('\n')
  };
};

/** Every value on a line of its own. */
export const list: Write = (set, random) => {
  const sep = pick(random, [': ', ' = ', ' - ']);
  return {
    text: [
      ...facts(set, random),
      '',
      ...set.chart.rows.flatMap((_, row) => [
        ...set.columns.map(
          ({ heading, cells }) => (set.headed ? `${heading}${sep}` : '') + (cells[row] ?? '')
        ),
        ''
      ])
    ].join('\n')
  };
};

/** Entries in running text. */
export const prose: Write = (set, random) => {
  const mark = pick(random, [', ', '; ', ' - ']);
  const shown = set.columns.filter(({ kind }) => kind !== 'number' && kind !== 'remark' && kind !== 'code');
  const entries = set.chart.rows.map(
    (row, at) => `${row.number}) ${shown.map(({ cells }) => cells[at] ?? '').join(mark)}`
  );
  const text = entries.join(pick(random, ['; ', '\n', '. ']));
  return { text: [`Hello, here is ${set.chart.title}:`, '', text, '', 'See you on Tuesday.'].join('\n') };
};

export const markdown: Write = (set, random) => ({
  text: [
    `# ${set.chart.title}`,
    '',
    `| ${set.columns.map(({ heading }) => heading).join(' | ')} |`,
    `|${set.columns.map(() => '---').join('|')}|`,
    ...set.chart.rows.map(
      (_, row) =>
        `| ${set.columns.map(({ cells }) => (cells[row] ?? '').replaceAll('|', '\\|')).join(' | ')} |`
    ),
    '',
    ...(random() < 0.5 ? ['Keep it dry.'] : [])
  ].join('\n')
});

const quoted = (text: string): string => `"${text.replaceAll('"', '""')}"`;
export const marked =
  (mark: string): Write =>
  (set, random) => ({
    text: [
      ...(random() < 0.4 ? [['Design', set.chart.title].map(quoted).join(mark)] : []),
      ...(set.headed ? [set.columns.map(({ heading }) => quoted(heading)).join(mark)] : []),
      ...set.chart.rows.map((_, row) => set.columns.map(({ cells }) => quoted(cells[row] ?? '')).join(mark))
    ].join('\r\n')
  });
