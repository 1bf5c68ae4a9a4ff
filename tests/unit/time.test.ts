import { handTime } from '$lib/core/craft/operations';
import type { Phase, Stop } from '$lib/core/documents/item';
import { defaultShop, type Hoop, type Machine } from '$lib/core/documents/shop';
import { fromDefaults, sumEstimates } from '$lib/core/making/time';
import { needleSeconds, phaseSpeed } from '$lib/core/making/time/needleTime';
import { expect } from 'chai';
import { badgerShop, badgerTab } from './support/badger';

const shop = badgerShop();
const [left, right] = shop.machines as [Machine, Machine];
const hoop = shop.hoops[0] as Hoop;
const phase = (stitches: number, more: Partial<Phase> = {}): Phase => ({
  stitches,
  attended: false,
  ...more
});
const stopOf = (phases: Phase[]): Stop => ({ ...(badgerTab().files[0]?.stops[0] as Stop), phases });

describe('needle time', () => {
  it('of the worked example is 22, 22, 229, 13, 139 and 67 s, together 492', () => {
    const seconds = (badgerTab().files[0]?.stops ?? []).map((stop) => needleSeconds(stop, left, hoop));
    expect(seconds).to.deep.equal([22, 22, 229, 13, 139, 67]);
    expect(seconds.reduce((sum, each) => sum + each, 0)).to.equal(492);
  });
  it('goes by the lowest of set speed, phase cap, hoop cap, pace and long stitches', () => {
    expect(phaseSpeed(phase(100), 'quilting', left, hoop)).to.equal(400);
    expect(phaseSpeed(phase(100), 'quilting', { ...left, setSpm: 600 }, hoop)).to.equal(420);
    expect(phaseSpeed(phase(100), 'quilting', { ...left, setSpm: 600, paceSpm: 510 }, hoop)).to.equal(510);
    expect(phaseSpeed(phase(100, { cap: 350 }), 'satin-edge', left, hoop)).to.equal(350);
    expect(phaseSpeed(phase(100), 'quilting', left, { ...hoop, capSpm: 300 })).to.equal(300);
    // A 9 mm satin stitch is twice 4.5 mm, so the machine reaches half its 1,000 spm.
    expect(phaseSpeed(phase(100, { width: 9 }), 'satin-edge', right, hoop)).to.equal(500);
    expect(phaseSpeed(phase(100), 'decoration', right, hoop)).to.equal(800);
  });
  it('adds phases, and each at its own speed: 350 spm for the first pass of an edge', () => {
    // 350 at 350 spm is 60 s, 800 at 400 is 120 s, 2 + 2 s to start and halt.
    expect(needleSeconds(stopOf([phase(350, { cap: 350 }), phase(800)]), left, hoop)).to.equal(184);
  });
  it('adds 6 s for a trim and 10 s where the machine changes needle by itself', () => {
    expect(needleSeconds(stopOf([phase(800)]), right, hoop)).to.equal(60 + 4 + 6);
    expect(needleSeconds(stopOf([phase(800)]), right, hoop, true)).to.equal(60 + 4 + 6 + 10);
  });
  it('is nothing where nothing is known', () =>
    expect(needleSeconds(stopOf([phase(0)]), right, hoop)).to.equal(0));
});

describe('hand time', () => {
  const tab = badgerTab();
  const { hands } = defaultShop('shop');
  const seconds = (op: Parameters<typeof handTime>[0], machine = left): number =>
    handTime(op, tab, hands, machine).hands;

  it('lays 30 s, tapes 8 s a strip but at least 25', () => {
    const lay = { do: 'lay', pieceId: 'front', side: 'above', face: 'up', over: 12 } as const;
    expect(seconds({ ...lay, hold: { by: 'tape', strips: 4 } })).to.equal(62);
    expect(seconds({ ...lay, hold: { by: 'tape', strips: 2 } })).to.equal(55);
    expect(seconds({ ...lay, hold: { by: 'spray' } })).to.equal(60);
    expect(seconds({ ...lay, hold: { by: 'nothing' } })).to.equal(30);
  });
  it('cuts out 30 s and 1.5 s for each cm of the edge that is cut', () => {
    // 3 mm outside a tab of 30 x 94: two sides of 64 and a turn of 36 mm diameter, 241.1 mm.
    expect(seconds({ do: 'cut-out', lineId: 'outline', margin: 3 })).to.be.closeTo(30 + 1.5 * 24.11, 0.02);
    expect(
      seconds({
        do: 'trim',
        pieceIds: ['front'],
        lineId: 'outline',
        side: 'outside',
        margin: 0
      })
    ).to.be.closeTo(30 + 1.2 * 22.22, 0.02);
  });
  it('depends on the machine: set-up, and the tail that a trimmer would catch', () => {
    expect([seconds({ do: 'set-up' }), seconds({ do: 'set-up' }, right)]).to.deep.equal([90, 240]);
    expect([
      seconds({ do: 'thread', threadId: 'thread-1' }),
      seconds({ do: 'thread', threadId: 'thread-1' }, right)
    ]).to.deep.equal([85, 70]);
  });
  it('keeps waiting apart', () => {
    expect(handTime({ do: 'wait', why: 'dry' }, tab, hands, left)).to.deep.equal({
      hands: 0,
      waiting: 36_000,
      parts: []
    });
  });
  it('takes the shop’s own times', () => {
    expect(handTime({ do: 'punch', holes: 2 }, tab, { ...hands, punch: 20 }, left).hands).to.equal(40);
  });
});

describe('estimates', () => {
  it('add up within one kind, low with low and high with high', () => {
    const sum = sumEstimates('needle', [fromDefaults('needle', 100), fromDefaults('needle', 392)]);
    expect(sum.value).to.equal(492);
    // Four in five of a log-normal of sigma 0.25 lie within a factor of e^(1.2816 x 0.25) = 1.3777.
    expect(sum.high).to.be.closeTo(492 * 1.3777, 0.1);
    expect(sum.low).to.be.closeTo(492 / 1.3777, 0.1);
  });
  it('are never added across kinds', () => {
    expect(() => sumEstimates('needle', [fromDefaults('hands', 10)])).to.throw(
      RangeError,
      'hands time cannot be added to needle time'
    );
  });
});
