import Papa from 'papaparse';
import { expect } from 'chai';
import fc from 'fast-check';
import { zipSync } from 'fflate';
import { plan } from '$lib/core/making/plan';
import { planBatch } from '$lib/core/ordering/day';
import { linesOf } from '$lib/core/reading/pages';
import { defaultShop } from '$lib/core/documents/shop';
import { readPdf, readZip, scheduleCsv, scheduleIcs, sheetPdf } from '$lib/files';
import { made } from './support/made';
import { machine, patches, shopOf } from './support/orders';
import { FONTS } from './support/fonts';

const planned = plan(made('snap-tab').item, undefined, defaultShop('pdf'));
async function printed(itemName: string): Promise<string> {
  const read = await readPdf(await sheetPdf({ ...planned, itemName }, 'A4', {}, FONTS));
  return read.ok
    ? linesOf(read.paper)
        .map(({ text }) => text)
        .join('\n')
    : read.message;
}

describe('texts that nobody expects, on paper', () => {
  it('print with their accents, and what no typeface here has is replaced and said', async () => {
    expect(await printed('Žižkov Güneş')).not.to.include('cannot be printed here');
    const text = await printed('Badger 🦡 狸');
    expect(text).to.include('Badger ? ?');
    expect(text).to.include('stands for a sign that cannot be printed here');
    // A question that was asked is none.
    expect(await printed('Which side?')).not.to.include('cannot be printed here');
  });
  it('never run off the paper, be a name 10,000 letters long', async () => {
    for (const name of ['x'.repeat(10_000), 'long name '.repeat(1000)]) {
      const read = await readPdf(await sheetPdf({ ...planned, itemName: name }, 'A4', {}, FONTS));
      if (!read.ok) throw new Error(read.message);
      const words = read.paper.pages.flatMap((page) => page.words.map((word) => word.x + word.width));
      // A4 is 595 points wide.
      expect(Math.max(...words)).to.be.at.most(596);
    }
  });
});

describe('texts that nobody expects, in calendars and tables', () => {
  const input = patches(6, shopOf([machine('one')]));
  const made = planBatch(input);
  it('bring in no line of their own: a calendar has the events it should, whatever a name holds', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.constantFrom('a\r\nEND:VCALENDAR\r\nBEGIN:VEVENT', 'x\nATTACH:file', ';,:\\', '"\t')
        ),
        (name) => {
          const plan = { ...made, hoopings: made.hoopings.map((each) => ({ ...each, name, names: [name] })) };
          const ics = scheduleIcs(plan, input.order.from, name);
          const lines = ics.split('\r\n');
          const count = plan.hoopings.length + plan.presence.length;
          expect(lines.filter((line) => line === 'BEGIN:VEVENT')).to.have.length(count);
          expect(lines.filter((line) => line === 'END:VCALENDAR')).to.have.length(1);
          // Every line is a property, or goes on with one.
          for (const line of lines) expect(line, JSON.stringify(line)).to.match(/^(?:[A-Z-]+[;:]|[ \t]|$)/);
          expect(ics).not.to.match(/[^\r]\n/);
        }
      ),
      { numRuns: 100 }
    );
  });
  it('are no formula: no cell begins as one', () => {
    fc.assert(
      fc.property(fc.constantFrom('=', '+', '-', '@', '\t', '\r'), fc.string(), (sign, rest) => {
        const plan = { ...made, tasks: made.tasks.map((task) => ({ ...task, title: sign + rest })) };
        // Told cell by cell: a line that breaks inside a quoted cell begins no cell.
        const { data } = Papa.parse<string[]>(scheduleCsv(plan, input.order.from));
        for (const cell of data.flat()) expect(cell).not.to.match(/^[=+@\t\r]/);
      }),
      { numRuns: 60 }
    );
  });
});

describe('packed files that mean no good', () => {
  it('are read up to the limits: 10,000 files give the first 200', () => {
    const files = Object.fromEntries(
      Array.from({ length: 10_000 }, (_, at) => [`${at}.txt`, new Uint8Array(1)])
    );
    const read = readZip(zipSync(files, { level: 0 }));
    expect(read.ok && read.entries.length).to.equal(200);
    expect(read.ok && read.left[0]?.why).to.equal('only the first 200 files are read');
  });
  it('are not unpacked beyond what they may: a bomb is left where it is', () => {
    const read = readZip(
      zipSync({ 'bomb.txt': new Uint8Array(120 * 1024 * 1024), 'chart.txt': new Uint8Array(9) })
    );
    expect(read.ok && read.entries.map(({ name }) => name)).to.deep.equal(['chart.txt']);
    expect(read.ok && read.left.map(({ name }) => name)).to.deep.equal(['bomb.txt']);
  });
  it('write nowhere: a path that climbs is refused and named', () => {
    const bad = ['../../etc/hosts', '/abs.txt', 'a/../../b.txt', 'C:\\win.ini', '..\\up.txt'];
    const one = new Uint8Array([65]);
    const read = readZip(zipSync(Object.fromEntries([...bad, 'in/order..txt'].map((name) => [name, one]))));
    expect(read.ok && read.left.map(({ name }) => name)).to.deep.equal(bad);
    expect(read.ok && read.entries.map(({ name }) => name)).to.deep.equal(['in/order..txt']);
  });
});
