import {
  formatClock,
  formatDuration,
  formatLength,
  formatMinutes,
  formatSize,
  metresPer,
  parseDuration,
  parseLength,
  roundUpForCutting
} from '$lib/core/base/units';
import type { LengthResult } from '$lib/core/base/units/length';
import { expect } from 'chai';
import fc from 'fast-check';

const mm = (result: LengthResult): number => {
  if (!result.ok) throw new Error(result.problem);
  return result.mm;
};

describe('units', () => {
  describe('a typed length', () => {
    const cases: [text: string, unit: 'mm' | 'in', mm: number][] = [
      ['4 3/8', 'in', 111.125],
      ['4 3/8', 'mm', 111.125],
      ['4-3/8"', 'mm', 111.125],
      ['4 ⅜ in', 'mm', 111.125],
      ['4⅜', 'in', 111.125],
      ['4.375"', 'mm', 111.125],
      ['3/8', 'mm', 9.525],
      ['111mm', 'in', 111],
      ['11.1 cm', 'in', 111],
      ['11,1 cm', 'in', 111],
      ['0.111 m', 'in', 111],
      ['2 inches', 'mm', 50.8],
      ['30', 'mm', 30],
      ['30', 'in', 762],
      // To the left, or towards the maker; the sign is the one typed, or the one shown.
      ['-46', 'mm', -46],
      ['−46 mm', 'in', -46],
      ['- 1 1/2', 'in', -38.1],
      ['−½ in', 'mm', -12.7],
      ['-0', 'mm', 0]
    ];
    for (const [text, unit, expected] of cases) {
      it(`${text} with ${unit} is ${expected} mm`, () =>
        expect(mm(parseLength(text, unit))).to.equal(expected));
    }
    for (const text of ['', 'wide', '4 3/0', '--3', '3-', '-', '4 3/8 furlongs', '1/2/3', '4 3 8']) {
      it(`“${text}” is refused with a sentence`, () => {
        const result = parseLength(text, 'mm');
        expect(result.ok).to.equal(false);
        if (!result.ok) expect(result.problem).to.match(/[.]$/);
      });
    }
    it('reads back what it writes, to a sixteenth of an inch', () => {
      fc.assert(
        fc.property(fc.integer({ min: -1600, max: 1600 }), (sixteenths) => {
          const length = (sixteenths * 25.4) / 16;
          expect(mm(parseLength(formatLength(length, 'in'), 'mm'))).to.be.closeTo(length, 1e-6);
        })
      );
    });
  });

  it('reads a time as a maker types it, and back what it writes', () => {
    const cases: [string, number | undefined][] = [
      ['12', 720],
      ['12 min', 720],
      ['1 h 10', 4200],
      ['2 min 30 s', 150],
      ['1,5 h', 5400],
      ['90 s', 90],
      ['2:30', 150],
      ['1:00:05', 3605],
      ['0', 0],
      ['', undefined],
      ['soon', undefined],
      ['-5', undefined]
    ];
    for (const [text, seconds] of cases) expect(parseDuration(text), text).to.equal(seconds);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 599 }), (seconds) => {
        expect(parseDuration(formatDuration(seconds))).to.equal(seconds);
      })
    );
  });

  it('writes inches with real fractions and millimetres to a tenth', () => {
    expect(formatLength(57.15, 'in')).to.equal('2 ¼ in');
    expect(formatLength(111.125, 'in')).to.equal('4 3⁄8 in');
    expect(formatLength(12.7, 'in')).to.equal('½ in');
    expect(formatLength(111.125, 'mm')).to.equal('111.1 mm');
    expect(formatSize({ width: 76.2, height: 139.7 }, 'in')).to.equal('3 × 5 ½ in');
  });

  it('rounds up to the ruler and leaves what lies on a mark', () => {
    expect(roundUpForCutting(54, 'quarter-inch')).to.equal(57.15);
    expect(roundUpForCutting(57.15, 'quarter-inch')).to.equal(57.15);
    expect(roundUpForCutting(54, '5mm')).to.equal(55);
    expect(roundUpForCutting(70, '5mm')).to.equal(70);
    expect(roundUpForCutting(70.01, '5mm')).to.equal(75);
  });
  it('never rounds down, and by less than a mark', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 2000, noNaN: true }),
        fc.constantFrom('quarter-inch' as const, '5mm' as const),
        (length, rule) => {
          const more = roundUpForCutting(length, rule) - length;
          expect(more).to.be.within(-0.0021, rule === '5mm' ? 5 : 6.351);
        }
      )
    );
  });

  it('writes times so that they read at a glance', () => {
    expect([22, 67, 125, 120, 780, 4200, 3600].map(formatDuration)).to.deep.equal([
      '22 s',
      '1 min 7 s',
      '2 min 5 s',
      '2 min',
      '13 min',
      '1 h 10',
      '1 h'
    ]);
    expect([492, 20, 0, 5400].map(formatMinutes)).to.deep.equal(['8 min', 'under 1 min', '0 min', '1 h 30']);
    expect([0, 67, 3725].map(formatClock)).to.deep.equal(['0:00', '1:07', '1:02:05']);
  });

  it('knows the units a chart gives thread in', () => {
    expect([metresPer('m'), metresPer('cm'), metresPer('ft'), metresPer('"')]).to.deep.equal([
      1, 0.01, 0.3048, 0.0254
    ]);
    expect(metresPer('ells')).to.equal(undefined);
  });
});
