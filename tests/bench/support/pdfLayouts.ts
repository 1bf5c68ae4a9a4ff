import { pdfOf, type Sheet } from './pdf';
import { sum, thousands, type Layout } from './textLayouts';
import type { TrueChart, TrueRow } from './chartTruths';

/** Columns of a table, left edge and words of each; the last two are set to the right. */
function table(sheet: Sheet, columns: number[], rows: string[][], y: number, step = 16): number {
  for (const row of rows) {
    row.forEach((words, at) => {
      const x = columns[at] ?? 0;
      sheet.text(x, y, words, 10, at >= row.length - 2 ? 'right' : 'left');
    });
    y += step;
  }
  return y;
}

const cellsOf = ({ number, name, colour, stitches, metres }: TrueRow): string[] => [
  String(number),
  name,
  colour,
  thousands(stitches),
  `${metres.toFixed(2)} m`
];

/** Blocks set in columns, one below the other or across. */
function blocks(
  chart: TrueChart,
  across: number,
  height: number,
  set: (sheet: Sheet, row: TrueRow, x: number, y: number) => void,
  byColumn = false
): Promise<Uint8Array> {
  return pdfOf((sheet) => {
    sheet.text(50, 50, chart.title, 16);
    const perPage = Math.floor(700 / height);
    chart.rows.forEach((row, at) => {
      const onPage = at % (perPage * across);
      if (at > 0 && onPage === 0) sheet.newPage();
      const column = byColumn ? Math.floor(onPage / perPage) : onPage % across;
      const line = byColumn ? onPage % perPage : Math.floor(onPage / across);
      set(sheet, row, 50 + (column * 500) / across, 90 + line * height);
    });
  });
}

export const PDF_LAYOUTS: Layout[] = [
  {
    name: 'PDF: a table with a total',
    write: (chart) =>
      pdfOf((sheet) => {
        sheet.text(50, 50, chart.title, 18);
        sheet.text(50, 72, 'Finished size 94 x 76 mm (3.70 x 2.99 in)');
        const y = table(
          sheet,
          [50, 80, 260, 420, 510],
          [['No', 'Part', 'Colour', 'Stitches', 'Thread'], ...chart.rows.map(cellsOf)],
          100
        );
        sheet.text(50, y + 10, `Total: ${thousands(sum(chart))} stitches`);
      })
  },
  {
    name: 'PDF: a table over pages, the heading on each',
    write: (chart) =>
      pdfOf((sheet) => {
        for (let from = 0; from < chart.rows.length; from += 5) {
          if (from > 0) sheet.newPage();
          sheet.text(50, 40, chart.title, 9);
          table(
            sheet,
            [50, 90, 280, 430, 520],
            [
              ['Stop', 'Name', 'Thread colour', 'Stitches', 'Length'],
              ...chart.rows.slice(from, from + 5).map(cellsOf)
            ],
            80,
            22
          );
          sheet.text(270, 820, `Page ${from / 5 + 1} of ${Math.ceil(chart.rows.length / 5)}`, 8);
        }
      })
  },
  {
    name: 'PDF: blocks in two columns, label and value in one',
    write: (chart) =>
      blocks(
        chart,
        2,
        90,
        (sheet, { number, name, colour, stitches, metres }, x, y) => {
          sheet.text(x, y, `Stop ${number}`, 13);
          sheet.text(x, y + 16, `Part: ${name}`);
          sheet.text(x, y + 30, `Colour: ${colour}`);
          sheet.text(x, y + 44, `Stitches: ${stitches}`);
          sheet.text(x, y + 58, `Thread length: ${(metres * 39.3701).toFixed(1)} in`);
        },
        true
      )
  },
  {
    name: 'PDF: blocks in three columns, label and value apart',
    write: (chart) =>
      blocks(chart, 3, 100, (sheet, { number, name, colour, stitches, metres }, x, y) => {
        sheet.text(x, y, `${number}. ${name}`, 11);
        const lines = [
          ['Colour', colour],
          ['Stitches', thousands(stitches)],
          ['Length', `${metres.toFixed(2)} m`]
        ] as const;
        lines.forEach(([label, value], at) => {
          sheet.text(x, y + 18 + at * 15, label, 9);
          sheet.text(x + 60, y + 18 + at * 15, value, 9);
        });
      })
  },
  {
    name: 'PDF: two tables side by side',
    write: (chart) =>
      pdfOf((sheet) => {
        const half = Math.ceil(chart.rows.length / 2);
        const heading = ['No', 'Part', 'Colour', 'Sts', 'Length'];
        [chart.rows.slice(0, half), chart.rows.slice(half)].forEach((rows, at) => {
          const x = 30 + at * 285;
          [heading, ...rows.map(cellsOf)].forEach((cells, line) => {
            cells.forEach((words, column) => {
              const offset = [0, 24, 135, 225, 265][column] ?? 0;
              sheet.text(x + offset, 80 + line * 14, words, 7, column > 2 ? 'right' : 'left');
            });
          });
        });
      })
  },
  {
    name: 'PDF: cards with big numbers and no labels',
    write: (chart) =>
      blocks(chart, 2, 80, (sheet, { number, name, colour, stitches, metres }, x, y) => {
        sheet.text(x, y, String(number), 22);
        sheet.text(x + 40, y + 2, name, 10);
        sheet.text(x + 40, y + 16, colour, 9);
        sheet.text(x + 40, y + 30, `${thousands(stitches)} stitches`, 9);
        sheet.text(x + 40, y + 44, `${metres.toFixed(2)} m of thread`, 9);
      })
  },
  {
    name: 'PDF: labels above their values',
    write: (chart) =>
      blocks(chart, 1, 76, (sheet, { number, name, colour, stitches, metres }, x, y) => {
        sheet.text(x, y, `Stop ${number}: ${name}`, 12);
        ['Colour', 'Stitches', 'Thread length'].forEach((label, at) =>
          sheet.text(x + at * 150, y + 18, label, 8)
        );
        [colour, String(stitches), `${(metres * 100).toFixed(0)} cm`].forEach((value, at) =>
          sheet.text(x + at * 150, y + 32, value, 10)
        );
      })
  },
  {
    name: 'PDF: one stop a column',
    write: (chart) =>
      pdfOf((sheet) => {
        sheet.text(50, 40, chart.title, 14);
        let y = 90;
        for (let from = 0; from < chart.rows.length; from += 5) {
          const rows = chart.rows.slice(from, from + 5);
          const line = (label: string, values: string[]): void => {
            sheet.text(30, y, label, 8);
            values.forEach((value, at) => sheet.text(90 + at * 100, y, value, 7));
            y += 14;
          };
          line(
            'Stop',
            rows.map(({ number }) => String(number))
          );
          line(
            'Name',
            rows.map(({ name }) => name)
          );
          line(
            'Colour',
            rows.map(({ colour }) => colour)
          );
          line(
            'Stitches',
            rows.map(({ stitches }) => String(stitches))
          );
          line(
            'Length (m)',
            rows.map(({ metres }) => metres.toFixed(2))
          );
          y += 30;
        }
      })
  }
];

/** Four layouts set down before the reader was ever run on them. */
export const UNSEEN_LAYOUTS: Layout[] = [
  {
    name: 'unseen PDF: sentences with dashes',
    write: (chart) =>
      pdfOf((sheet) => {
        sheet.text(60, 60, 'Thread list', 16);
        chart.rows.forEach(({ number, name, colour, stitches, metres }, at) => {
          sheet.text(
            60,
            95 + at * 18,
            `Stop ${number}: ${name} - ${colour} - ${stitches} stitches - ${metres.toFixed(2)} m`,
            9
          );
        });
      })
  },
  {
    name: 'unseen PDF: a heading over two lines, colour and code apart, inches',
    write: (chart) =>
      pdfOf((sheet) => {
        sheet.text(40, 40, `${chart.title.toUpperCase()}`, 12);
        sheet.text(40, 58, `Colour stops: ${chart.rows.length}    Hoop 130 x 180 mm`, 9);
        const columns = [40, 75, 250, 350, 450, 540];
        ['Stop', 'What it', 'Thread', 'Thread', 'Stitch', 'Length'].forEach((words, at) =>
          sheet.text(columns[at] ?? 0, 90, words, 9, at > 3 ? 'right' : 'left')
        );
        ['no.', 'does', 'colour', 'code', 'count', '(in)'].forEach((words, at) =>
          sheet.text(columns[at] ?? 0, 101, words, 9, at > 3 ? 'right' : 'left')
        );
        chart.rows.forEach(({ number, name, colour, stitches, metres }, line) => {
          const [, shade = colour, code = ''] = /^(\D+?)(?: (\d+))?$/.exec(colour) ?? [];
          const y = 125 + line * 20;
          [String(number), name, shade, code, String(stitches), (metres * 39.3701).toFixed(1)].forEach(
            (words, at) => sheet.text(columns[at] ?? 0, y, words, 9, at > 3 ? 'right' : 'left')
          );
        });
      })
  },
  {
    name: 'unseen text: one stop a line, every value with its label',
    write: ({ rows }) =>
      rows
        .map(
          ({ number, name, colour, stitches, metres }) =>
            `Stop ${number} | Colour: ${colour} | Part: ${name} | Stitches: ${stitches} | Thread: ${metres.toFixed(2)} m`
        )
        .join('\n')
  },
  {
    name: 'unseen PDF: a table between paragraphs, the unit in the heading, page break without a heading',
    write: (chart) =>
      pdfOf((sheet) => {
        sheet.text(50, 50, chart.title, 20);
        sheet.text(
          50,
          76,
          'Thank you for stitching with the little railway. Read all of this before you begin.',
          9
        );
        sheet.text(50, 90, `Design size: 3.70" x 2.99". Stitch count: ${thousands(sum(chart))}.`, 9);
        const columns = [70, 110, 390, 300, 500];
        ['Order', 'Element', 'Colour name', 'Stitches', 'Metres'].forEach((words, at) =>
          sheet.text(columns[at] ?? 0, 130, words, 10)
        );
        let y = 150;
        chart.rows.forEach(({ number, name, colour, stitches, metres }, at) => {
          if (at === 6) {
            sheet.newPage();
            y = 60;
          }
          [String(number), name, colour, String(stitches), metres.toFixed(2)].forEach((words, column) =>
            sheet.text(columns[column] ?? 0, y, words, 10)
          );
          y += 24;
        });
        sheet.text(50, y + 30, 'Wash cool, dry flat. Not for children under three.', 9);
      })
  }
];
