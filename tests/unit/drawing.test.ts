import { extents, flattenCubic, pathArea, pathLength, type Point } from '$lib/core/base/geometry';
import { readSvg } from '$lib/core/reading/drawings';
import { align, inPatternOrder } from '$lib/core/reading/matching';
import { colourOf } from '$lib/core/reading/evidence';
import { drawnAround, outlineChoices, rowsOfDrawing } from '$lib/core/reading/papers';
import { expect } from 'chai';
import fc from 'fast-check';
import { constructionOf } from '$lib/core/craft/constructions';

const svg = (body: string, head = 'width="80mm" height="100mm" viewBox="0 0 160 200"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`;
const LINE = 'fill="none" stroke="#336699"';

describe('a curve in straight pieces', () => {
  it('is never further off than its flatness', () => {
    const coordinate = fc.integer({ min: -100, max: 100 });
    const point = fc.tuple(coordinate, coordinate);
    fc.assert(
      fc.property(point, point, point, point, (a, b, c, d) => {
        const pieces: Point[] = [a, ...flattenCubic(a, b, c, d, 0.05)];
        expect(pieces.at(-1)).to.deep.equal(d);
        const count = pieces.length - 1;
        // The middle of each piece of the curve lies furthest from its chord.
        for (let at = 0; at < count; at++) {
          const t = (at + 0.5) / count;
          const on = (axis: 0 | 1): number =>
            (1 - t) ** 3 * a[axis] +
            3 * (1 - t) ** 2 * t * b[axis] +
            3 * (1 - t) * t * t * c[axis] +
            t ** 3 * d[axis];
          const [from, to] = [pieces[at] ?? a, pieces[at + 1] ?? d];
          const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
          expect(Math.hypot(on(0) - middle[0], on(1) - middle[1])).to.be.at.most(0.05 + 1e-9);
        }
      }),
      { numRuns: 60 }
    );
  });
});

describe('an SVG drawing', () => {
  it('is read in millimetres by its units and viewBox, its middle at the origin', () => {
    const { groups, size, problems } = readSvg(svg(`<circle cx="80" cy="100" r="40" ${LINE}/>`));
    // 160 units are 80 mm: a radius of 40 units is 20 mm.
    expect(size?.width).to.be.closeTo(40, 0.01);
    expect(groups[0]?.length).to.be.closeTo(40 * Math.PI, 0.1);
    // Chords inside the circle by no more than 0.05 mm: at most 2/3 of 125.7 × 0.05 mm² less.
    expect(pathArea(groups[0]?.paths[0] ?? { closed: true, points: [] })).to.be.closeTo(400 * Math.PI, 4.2);
    expect(problems).to.deep.equal([]);
  });
  it('without a unit is read at 96 to the inch, and says so', () => {
    const { size, problems } = readSvg(
      svg(`<rect width="96" height="48" ${LINE}/>`, 'width="96" height="48"')
    );
    expect(size).to.deep.equal({ width: 25.4, height: 12.7 });
    expect(problems[0]?.message).to.match(/96 to the inch/);
    expect(
      readSvg(svg(`<rect width="1" height="1" ${LINE}/>`, 'width="2in" height="2in" viewBox="0 0 4 4"')).size
    ).to.deep.equal({
      width: 12.7,
      height: 12.7
    });
  });
  it('keeps transforms, the inner before the outer', () => {
    const { size } = readSvg(
      svg(
        `<g transform="scale(2)"><rect width="10" height="20" transform="rotate(90)" ${LINE}/></g>`,
        'width="100mm" viewBox="0 0 100 100"'
      )
    );
    expect(size).to.deep.equal({ width: 40, height: 20 });
  });
  it('makes a stop of each named group, and of each colour where nothing is named', () => {
    const { groups } = readSvg(
      svg(`<style>.glass{fill:#e3b341;stroke:none}</style>
        <g id="Lamp_frame" ${LINE}><path d="M0 0h40v40z"/><line x1="0" y1="0" x2="9" y2="9"/></g>
        <g id="layer1"><path class="glass" d="M0 0h40v40z"/><path d="M50 0h10" style="stroke:red;fill:none"/></g>
        <path d="M60 0h10" stroke="#f00" fill="none"/><path d="M0 0h9v9z" display="none"/>`)
    );
    expect(
      groups.map(({ name, colour, filled, paths }) => [name, colour, filled, paths.length])
    ).to.deep.equal([
      ['Lamp frame', '#336699', false, 2],
      ['', '#e3b341', true, 1],
      ['', '#ff0000', false, 2]
    ]);
  });
  it('reads every basic shape, and a path that goes on after it was closed', () => {
    const shapes = `<ellipse cx="20" cy="10" rx="20" ry="10"/><polygon points="0,0 30,0 30,40"/><polyline points="0 0 3 4"/>
      <rect width="40" height="20" rx="5"/><path d="M0 0h10v10h-10z l5 5"/>`;
    const { groups } = readSvg(svg(`<g ${LINE}>${shapes}</g>`, 'width="100mm" viewBox="0 0 100 100"'));
    const lengths = groups[0]?.paths.map(pathLength) ?? [];
    expect(lengths[1]).to.be.closeTo(30 + 40 + 50, 0.01);
    expect(lengths[2]).to.be.closeTo(5, 0.01);
    expect(lengths[3]).to.be.closeTo(2 * (30 + 10) + 10 * Math.PI, 0.1);
    expect(lengths[4]).to.equal(40);
    expect(lengths[5]).to.be.closeTo(Math.hypot(5, 5), 0.01);
  });
  it('follows a use, and names what it cannot stitch', () => {
    const { groups, problems } = readSvg(
      svg(`<defs><path id="leaf" d="M0 0h10v10z" ${LINE}/></defs><use href="#leaf" x="5"/><use href="#leaf" x="50"/>
        <text x="0" y="0">BADGER</text><image href="x.png"/>`)
    );
    expect(groups[0]?.paths).to.have.length(2);
    expect(problems.map(({ message }) => message)).to.deep.equal([
      'One part of the drawing is lettering that is not turned into outlines; only outlines can be stitched.',
      'One part of the drawing is a picture; only outlines can be stitched.'
    ]);
  });
  it('that breaks off is read up to there; what is no drawing is said to be none', () => {
    const broken = readSvg(`${svg(`<path d="M0 0h10v10z" ${LINE}/>`).replace('</svg>', '')}<g <`);
    expect(broken.groups).to.have.length(1);
    expect(broken.problems[0]?.message).to.match(/broken at line 1, column \d+/);
    expect(readSvg('<html></html>').problems[0]?.message).to.match(/no SVG drawing/);
    expect(readSvg(svg('')).problems.map(({ message }) => message)).to.deep.equal([
      'The drawing holds no outlines.'
    ]);
  });
});

describe('stops of a drawing', () => {
  const drawing = readSvg(
    svg(
      `<g id="Satin border"><rect width="80" height="100" ${LINE}/></g>
      <g id="Lamp glass"><rect x="20" y="20" width="40" height="40" fill="#e3b341"/></g>
      <g id="Cut line"><rect width="80" height="100" fill="none" stroke="#23262b"/></g>`,
      'width="100mm" viewBox="0 0 100 100"'
    )
  );
  const rows = rowsOfDrawing(drawing);
  it('have stitches as their words ask: satin for a border, fill for a filled shape, a run for a line', () => {
    // 360 mm round at 0.4 mm, and the corners that the outer ends go round; 81 rows of 40 mm; 360 mm at 2.5 mm.
    expect(rows[0]?.stitches).to.be.closeTo((360 + 4 * Math.PI) / 0.4, 6);
    expect(rows[1]?.stitches).to.be.within(81 * 14, 81 * 16);
    expect(rows[2]?.stitches).to.equal(144);
    expect(rows.map(({ role }) => role)).to.deep.equal(['satin-edge', 'decoration', 'cut-line']);
    expect(colourOf(rows[1]?.colour ?? ''), 'the colour as drawn').to.equal('#e3b341');
  });
  it('come into the order in which their construction needs them', () => {
    const made = constructionOf('border-patch')?.patternOf({});
    if (!made?.ok) throw new Error('no pattern');
    const ordered = inPatternOrder(rows, made.pattern.expected);
    expect(ordered.map(({ number, name }) => [number, name])).to.deep.equal([
      [1, 'Lamp glass'],
      [2, 'Cut line'],
      [3, 'Satin border']
    ]);
    expect(align(ordered, made.pattern.expected).matches.map(({ keys }) => keys)).to.deep.equal([
      ['colours-colours'],
      ['cut-cut-line'],
      ['edge-satin']
    ]);
  });
  it('are laid round the outline that is chosen, at its size', () => {
    const [outline] = outlineChoices(drawing);
    if (!outline) throw new Error('no outline');
    expect(outlineChoices(drawing)).to.have.length(2);
    const half = drawnAround(drawing, outline.path, { width: 40, height: 50 });
    const box = extents(half.groups[1]?.paths[0] ?? { closed: true, points: [] });
    expect([box.width, box.minX, box.minY]).to.deep.equal([20, -10, -15]);
  });
});
