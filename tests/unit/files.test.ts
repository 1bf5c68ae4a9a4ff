import { kindOf, LIMITS, openFile, readZip, zipOf } from '$lib/files';
import { expect } from 'chai';
import { zipSync } from 'fflate';
import { PDFDocument, StandardFonts } from 'pdf-lib';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
async function pdf(words: string | null): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  const page = document.addPage([300, 200]);
  if (words === null) page.drawRectangle({ x: 20, y: 20, width: 100, height: 50 });
  else
    page.drawText(words, {
      x: 20,
      y: 150,
      size: 10,
      font: await document.embedFont(StandardFonts.Helvetica)
    });
  return document.save();
}

describe('a file that is brought', () => {
  it('is known by what it is, not by its name', () => {
    expect(kindOf(bytes('%PDF-1.7'))).to.equal('pdf');
    expect(kindOf(bytes('<?xml version="1.0"?>\n<!-- lamp -->\n<svg xmlns="x"/>'))).to.equal('svg');
    expect(kindOf(bytes(' {"schema": 1}'))).to.equal('json');
    expect(kindOf(bytes('1 placement grey 120'))).to.equal('text');
    expect(kindOf(Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0]))).to.equal('picture');
    expect(kindOf(Uint8Array.from([0x41, 0, 0x03, 0x80]))).to.equal('other');
    expect(kindOf(Uint8Array.from([0xff, 0xfe, 0x31, 0x00])), 'UTF-16 text').to.equal('text');
  });
  it('is opened by its kind', async () => {
    const paper = await openFile('chart.pdf', await pdf('1 placement grey 120 0.60 m'));
    expect(paper.kind === 'paper' && paper.paper.pages[0]?.words.map(({ text }) => text)).to.deep.equal([
      '1 placement grey 120 0.60 m'
    ]);
    const where = paper.kind === 'paper' ? paper.paper.pages[0]?.words[0] : undefined;
    // Set 150 above the foot of a page of 200.
    expect([where?.x, where?.y, where?.height]).to.deep.equal([20, 50, 10]);
    expect((await openFile('a', bytes('<svg/>'))).kind).to.equal('drawing');
    expect(await openFile('a', bytes('{"a": 1}'))).to.deep.include({ kind: 'document', value: { a: 1 } });
    expect(await openFile('a', Uint8Array.from([0xff, 0xfe, 0x31, 0x00]))).to.deep.include({
      kind: 'text',
      text: '1'
    });
  });
  it('as a ZIP shows what it holds; each file is opened the same way', async () => {
    const zip = await openFile(
      'set.zip',
      zipOf({ 'chart.txt': '1 face white 90', 'folder/lamp.svg': '<svg/>' })
    );
    if (zip.kind !== 'archive') throw new Error(zip.kind);
    expect(zip.entries.map(({ name }) => name)).to.deep.equal(['chart.txt', 'folder/lamp.svg']);
    const [first] = zip.entries;
    expect(first && (await openFile(first.name, first.bytes)).kind).to.equal('text');
    const bomb = readZip(zipSync({ big: new Uint8Array(LIMITS.zip.unpacked + 1) }));
    expect(bomb.ok && bomb.left[0]?.why).to.match(/more than 80 MiB/);
  });
  it('that cannot be read is refused with what to bring instead', async () => {
    const refused = async (content: Uint8Array): Promise<[string, string]> => {
      const brought = await openFile('x', content);
      return brought.kind === 'refused' ? [brought.code, brought.message] : [brought.kind, ''];
    };
    expect((await refused(Uint8Array.from([1, 0, 2, 0])))[1]).to.match(
      /stitch file is closed.*Bring the colour chart/
    );
    expect((await refused(await pdf(null)))[1]).to.match(/is a picture: a scanned page holds no text/);
    expect((await refused(bytes('%PDF-1.7 nonsense')))[0]).to.equal('broken');
    expect((await refused(Uint8Array.from([0xff, 0xd8, 0xff, 0xe0])))[0]).to.equal('picture');
    expect((await refused(Uint8Array.from([0x50, 0x4b, 0x03, 0x04, 1, 2])))[0]).to.equal('broken');
    expect((await refused(bytes('{"a": ')))[0]).to.equal('not-json');
    expect((await refused(new Uint8Array()))[0]).to.equal('empty');
    const long = new Uint8Array(LIMITS.svg.bytes + 1).fill(32);
    long.set(bytes('<svg>'));
    expect(await refused(long)).to.deep.equal([
      'too-large',
      'This file has 5 MiB; at most 5 MiB are read of a drawing.'
    ]);
  });
});
