import type { Item } from '$lib/core/documents/item';
import { defaultSetup, type Shop } from '$lib/core/documents/shop';
import { type Finding, review } from '$lib/core/making/checks';
import { expect } from 'chai';
import { badgerShop, makeItem } from './support/badger';
import { roomyShop } from './support/ends';
import { WRONG } from './support/findings';
import { MORE_WRONG } from './support/moreFindings';
import { checkOf } from './support/findingWords';

const shop: Shop = { ...roomyShop, machines: badgerShop().machines };
const found = (item: Item, machineId: string): Finding[] =>
  review(item, { ...defaultSetup(item, shop), machineId }, shop).checked.open;
const called = ({ severity, code, stepId }: Finding): string =>
  `${severity} ${checkOf(code)} ${stepId ?? ''}`.trim();

describe('what the checks say of a mistake', () => {
  for (const { construction, answers, what, mistake, finding, text, fix, machineId = 'left' } of [
    ...WRONG,
    ...MORE_WRONG
  ]) {
    it(`${construction}: ${what}`, () => {
      const wrong = mistake(makeItem(construction, answers));
      const findings = found(wrong, machineId);
      const it = findings.find((each) => called(each) === finding && each.text === text);
      expect(it, findings.map((each) => `${called(each)}: ${each.text}`).join('\n')).to.not.equal(undefined);
      if (fix !== undefined) expect(it?.fix?.label).to.equal(fix);
      const mended = fix !== undefined && it?.fix ? found(it.fix.apply(wrong), machineId) : [];
      expect(mended.map((each) => `${called(each)} ${each.text}`)).to.not.include(`${finding} ${text}`);
    });
  }
});
