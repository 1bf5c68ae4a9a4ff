import { expect } from 'chai';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { defaultShop } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import {
  type Drill,
  drillsOf,
  nextDrill,
  pathOf,
  Practised,
  practised,
  SKILLS,
  stationItem
} from '$lib/core/running/drills';
import { made } from './support/made';

const shop = defaultShop('practice');
const drills = (kind: string): Drill[] => drillsOf(made(kind).item, shop, 7);

describe('drills made from items', () => {
  it('have one right answer among different ones, for every construction', () => {
    let count = 0;
    for (const { kind } of CONSTRUCTIONS) {
      for (const drill of drills(kind)) {
        count++;
        expect(
          drill.choices.filter(({ id }) => id === drill.answer),
          drill.id
        ).to.have.length(1);
        expect(new Set(drill.choices.map(({ words }) => words)).size, drill.id).to.equal(
          drill.choices.length
        );
        expect(drill.why, drill.id).not.to.equal('');
      }
    }
    expect(count).to.be.greaterThan(200);
  });

  it('answer from the simulation: a wrong choice that is a change of the work comes out wrong there', () => {
    for (const kind of ['snap-tab', 'zip-pouch', 'turned-flat', 'topper']) {
      const good = review(made(kind).item, undefined, shop);
      const stops = (of: typeof good): number =>
        of.checked.open.filter(({ severity }) => severity === 'stop').length +
        of.trace.filter(({ problem }) => problem !== null).length;
      for (const { id, choices } of drills(kind))
        for (const { leadsTo } of choices)
          if (leadsTo) expect(stops(review(leadsTo, undefined, shop)), id).to.be.greaterThan(stops(good));
    }
  });

  it('ask every skill of a tab: which way up is its back, what is missing, what comes next', () => {
    const own = drills('snap-tab');
    expect(new Set(own.map(({ skill }) => skill))).to.deep.equal(new Set(SKILLS));
    const back = drills('turned-flat').find(
      ({ skill, question }) => skill === 'side' && question.startsWith('BACK')
    );
    // The back is laid right sides together: one sees its wrong side.
    expect(back?.answer).to.equal('away');
  });

  it('are the same for the same seed', () => {
    expect(drillsOf(made('patch').item, shop, 3)).to.deep.equal(drillsOf(made('patch').item, shop, 3));
  });
});

describe('what to practise next', () => {
  const own = drills('snap-tab');
  const now = new Date('2026-11-28T10:00:00Z');
  const later = (minutes: number): Date => new Date(now.getTime() + minutes * 60_000);
  const nothing = Practised.parse({});

  it('is a new drill of the weakest skill while nothing is due', () => {
    const first = nextDrill(own, nothing, now);
    if (!first) throw new Error('nothing to ask');
    const known = practised(nothing, first, true, now);
    const second = nextDrill(own, known, now);
    expect(second?.id).not.to.equal(first.id);
    // One skill was right once, so the others are weaker.
    expect(second?.skill).not.to.equal(first.skill);
  });

  it('comes again soon where it was wrong, and much later where it was right', () => {
    const [drill] = own;
    if (!drill) throw new Error('no drill');
    const wrong = practised(nothing, drill, false, now);
    const right = practised(nothing, drill, true, now);
    expect(nextDrill([drill], wrong, now)).to.equal(undefined);
    expect(nextDrill([drill], wrong, later(6))?.id).to.equal(drill.id);
    expect(nextDrill([drill], right, later(6))).to.equal(undefined);
    expect(right.skills[drill.skill]).to.deep.equal({ right: 1, wrong: 0 });
    // It survives being stored.
    expect(nextDrill([drill], Practised.parse(JSON.parse(JSON.stringify(wrong))), later(6))?.id).to.equal(
      drill.id
    );
  });
});

describe('how well it goes', () => {
  it('counts each skill apart, right and wrong', () => {
    const now = new Date('2026-11-28T10:00:00Z');
    const [first] = drills('snap-tab').filter(({ skill }) => skill === 'side');
    const [second] = drills('snap-tab').filter(({ skill }) => skill === 'time');
    if (!first || !second) throw new Error('no drill');
    const known = practised(practised(Practised.parse({}), first, true, now), second, false, now);
    expect(known.skills).to.deep.equal({ side: { right: 1, wrong: 0 }, time: { right: 0, wrong: 1 } });
    expect(Object.keys(known.cards)).to.have.members([first.id, second.id]);
  });

  it('asks each skill twice before the weakest goes first', () => {
    const own = drills('snap-tab');
    const asked: string[] = [];
    let known = Practised.parse({});
    let now = new Date('2026-11-28T10:00:00Z');
    for (let at = 0; at < SKILLS.length; at++) {
      const drill = nextDrill(own, known, now);
      if (!drill) break;
      asked.push(drill.skill);
      known = practised(known, drill, true, now);
      now = new Date(now.getTime() + 1000);
    }
    expect(new Set(asked).size).to.equal(SKILLS.length);
  });
});

describe('a fault to be led out of', () => {
  const rescues = CONSTRUCTIONS.flatMap(({ kind }) => drills(kind)).filter(({ skill }) => skill === 'rescue');
  it('happens on the stand-in machine, in a stop of the item, with a time to decide in', () => {
    expect(rescues.length).to.be.greaterThan(CONSTRUCTIONS.length);
    for (const { question, seconds, choices } of rescues) {
      expect(question).to.match(/^Stop \d+, stitch [\d,]+ of [\d,]+: /);
      expect(seconds).to.be.greaterThan(10);
      expect(choices.every(({ comes }) => comes !== undefined && comes !== '')).to.equal(true);
    }
    expect(new Set(rescues.map(({ id }) => id.split('/').at(-1)))).to.include('thread-broke');
  });
  it('is put right by going back a few stitches; the machine refuses to start at once, or a gap stays', () => {
    for (const { answer, choices, id } of rescues) {
      expect(answer, id).to.equal('lap');
      const comes = Object.fromEntries(choices.map((choice) => [choice.id, choice.comes ?? '']));
      expect(comes.lap, id).to.match(/laps over the last \d+ stitches/);
      expect(comes['no-lap'], id).to.match(/gap stays|refuses/);
      expect(comes.anew, id).to.match(/twice as thick|refuses/);
      expect(comes['at-once'], id).to.match(/refuses|gap stays/);
    }
  });
});

describe('a beginner’s path', () => {
  const answer = (known: Practised, kind: string, right: boolean, at: number): Practised =>
    practised(
      known,
      { id: `${kind} ${at}`, skill: 'side', itemId: `path-${kind}` },
      right,
      new Date('2026-11-28T10:00:00Z')
    );
  it('has six items that can be drilled, each opened by the one before', () => {
    const start = pathOf(Practised.parse({}));
    expect(start.stations).to.have.length(6);
    expect(start.next).to.equal(0);
    for (const { kind } of start.stations) {
      const item = stationItem(kind);
      expect(item && drillsOf(item, shop, 1).length, kind).to.be.at.least(6);
    }
    let known = Practised.parse({});
    const first = start.stations[0]?.kind ?? '';
    for (let at = 0; at < 5; at++) known = answer(known, first, true, at);
    expect(pathOf(known).next).to.equal(0);
    known = answer(known, first, true, 5);
    expect(pathOf(known).next).to.equal(1);
    expect(pathOf(known).stations[0]).to.deep.include({ right: 6, all: 6, done: true });
  });
  it('is not gone by guessing: three quarters of the answers are right', () => {
    let known = Practised.parse({});
    const [first] = pathOf(known).stations;
    for (let at = 0; at < 12; at++) known = answer(known, first?.kind ?? '', at % 2 === 0, at);
    expect(pathOf(known).stations[0]).to.deep.include({ right: 6, all: 12, done: false });
  });
});
