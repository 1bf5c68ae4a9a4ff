import { constructionOf } from '$lib/core/craft/constructions';
import { answersFor } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import { answeredWords } from '../../src/routes/items/new/answered';

const answersOf = (kind: string, chart: string, given: Record<string, unknown> = {}) => {
  const construction = constructionOf(kind);
  if (!construction) throw new Error(`There is no ${kind}.`);
  return answersFor(construction, readChart(chart).rows, { ...construction.defaults, ...given });
};
const ONE_PATCH = `1\tcut line\twhite\t150
2\tplacement\tgrey\t150
3\tbadge fill\tcream\t3900
4\tdetail\tred\t480
5\tborder satin\tbrass\t2380`;
const TWO_PATCHES = `1\tcut lines\twhite\t300
2\tplacement\tgrey\t150
3\tbadge fill\tcream\t3900
4\tborder satin\tbrass\t2380
5\tplacement\tgrey\t150
6\tbadge fill\tcream\t3900
7\tborder satin\tbrass\t2380`;

describe('answers that a chart gives', () => {
  it('a chart of one patch is not one of two: its detail is no second patch', () => {
    expect(answersOf('batch-patch', ONE_PATCH)).to.deep.equal({ copies: 1 });
  });
  it('a chart of two is, whatever was usual', () => {
    expect(answersOf('batch-patch', TWO_PATCHES)).to.deep.equal({});
    expect(answersOf('batch-patch', TWO_PATCHES, { copies: 3 })).to.deep.equal({ copies: 2 });
  });
  it('are none where the usual ones fit, or where none would fit better', () => {
    expect(
      answersOf(
        'snap-tab',
        '1 placement grey 120\n2 tack-down black 120\n3 face white 1500\n4 outline white 420'
      )
    ).to.deep.equal({});
    expect(
      answersOf('patch', '1 cut line and placement white 150\n2 fill cream 3900\n3 border brass 2380')
    ).to.deep.equal({});
  });
  it('lace whose chart places and tacks a cloth has that cloth in its middle', () => {
    const chart = `1\tfabric placement\twhite\t90
2\tfabric tack-down\twhite\t90
3\tlace\tcream\t9000
4\tedge\tcream\t2380`;
    expect(answersOf('lace', chart)).to.deep.equal({ inlay: 'yes' });
  });
  it('are told in the words of their questions, until the maker says otherwise', () => {
    const questions = constructionOf('batch-patch')?.questions ?? [];
    const label = questions.find(({ key }) => key === 'copies')?.label ?? '';
    expect(answeredWords(questions, { copies: 1 }, { copies: 1, gap: 20 })).to.deep.equal([`${label}: 1`]);
    expect(answeredWords(questions, { copies: 1 }, { copies: 2 })).to.deep.equal([]);
  });
});
