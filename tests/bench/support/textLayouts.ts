import type { TrueChart } from './chartTruths';

/** A layout of a chart: what it is and how it is set. Text comes as text, a PDF as its bytes. */
export interface Layout {
  name: string;
  write: (chart: TrueChart) => string | Promise<Uint8Array>;
}

export const thousands = (count: number): string => count.toLocaleString('en');
export const sum = ({ rows }: TrueChart): number => rows.reduce((total, { stitches }) => total + stitches, 0);
const quoted = (text: string): string => `"${text.replaceAll('"', '""')}"`;

export const TEXT_LAYOUTS: Layout[] = [
  {
    name: 'aligned text under a heading',
    write: ({ title, rows, ...rest }) =>
      [
        title,
        '',
        'No   Part                          Colour            Stitches   Thread',
        ...rows.map(
          ({ number, name, colour, stitches, metres }) =>
            `${String(number).padStart(2)}   ${name.padEnd(30)}${colour.padEnd(18)}${thousands(stitches).padStart(8)}   ${metres.toFixed(2)} m`
        ),
        `Total stitches  ${thousands(sum({ title, rows, ...rest }))}`
      ].join('\n')
  },
  {
    name: 'aligned text without a heading, lengths in centimetres',
    write: ({ rows }) =>
      rows
        .map(
          ({ number, name, colour, stitches, metres }) =>
            `${number})  ${name}    ${colour}    ${stitches} sts    ${(metres * 100).toFixed(0)} cm`
        )
        .join('\n')
  },
  {
    name: 'CSV with quotes and thousands',
    write: (chart) =>
      [
        'Stop,Colour,Description,Stitches,Length (m)',
        ...chart.rows.map(({ number, name, colour, stitches, metres }) =>
          [number, quoted(colour), quoted(name), quoted(thousands(stitches)), metres].join(',')
        ),
        `Total,,,${quoted(thousands(sum(chart)))},`
      ].join('\r\n')
  },
  {
    name: 'TSV from a spreadsheet',
    write: ({ rows }) =>
      rows
        .map(({ number, name, colour, stitches, metres }) =>
          [number, name, colour, stitches, `${metres.toFixed(2)} m`].join('\t')
        )
        .join('\n')
  },
  {
    name: 'semicolons and decimal commas',
    write: ({ rows }) =>
      [
        '#;Stitches;Thread colour;Name;Thread used (cm)',
        ...rows.map(({ number, name, colour, stitches, metres }) =>
          [number, stitches, colour, name, (metres * 100).toFixed(1).replace('.', ',')].join(';')
        )
      ].join('\n')
  },
  {
    name: 'a table drawn with bars, lengths in feet',
    write: ({ rows }) =>
      [
        '| Step | Name | Shade | Stitch count | Length (ft) |',
        '|------|------|-------|--------------|-------------|',
        ...rows.map(
          ({ number, name, colour, stitches, metres }) =>
            `| ${number} | ${name} | ${colour} | ${stitches} | ${(metres / 0.3048).toFixed(2)} |`
        )
      ].join('\n')
  },
  {
    name: 'blocks of labelled lines in text',
    write: (chart) =>
      [
        chart.title,
        `Stitches: ${sum(chart)}`,
        'Size: 94.0 x 76.0 mm (3.70 x 2.99 in)',
        '',
        ...chart.rows.flatMap(({ number, name, colour, stitches, metres }) => [
          `Stop ${number}`,
          `  Name: ${name}`,
          `  Colour: ${colour}`,
          `  Stitches: ${thousands(stitches)}`,
          `  Thread: ${metres.toFixed(2)} m`,
          ''
        ])
      ].join('\n')
  }
];
