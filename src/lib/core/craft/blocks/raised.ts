import { shapePath, shifted } from '$lib/core/base/geometry';
import { length, material, MATERIALS, stopPart, thread } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsSurface } from './refusals';
import { fromTheMiddle } from './spots';

const raisedFields = {
  width: length('The piece, across', 90, 20, 300),
  held: length('Stitched down in its middle, across', 12, 5, 100),
  ...fromTheMiddle,
  cloth: material('Made of', { felt: 'Felt', woven: 'Organza or cotton' }, [
    'felt',
    'Felt petals',
    '#c96f80'
  ]),
  thread: thread('Thread of its middle', 'Brass', '#b58a3c')
} as const;

/** A finished flower or bow that stands up from the cloth, stitched down in its middle only. */
export const raised: BlockMaker<typeof raisedFields> = {
  kind: 'raised',
  name: '3-D piece on top',
  summary:
    'A finished flower or bow pinned by its middle, petals taped flat, stitched down in its middle only.',
  group: 'Cloth',
  fields: raisedFields,
  lays: true,
  refuses: (standing) => needsSurface(standing),
  make(site, p) {
    const { s } = site;
    const { top } = site.standing;
    if (!top) return;
    const at = (size: number) => shifted(shapePath('oval', size, size), p.across, p.down);
    const label = site.label('Petals');
    const petals = site.line('petals', label, at(p.width));
    const mark = site.line('mark', 'Centre mark', at(4));
    const inner = site.line('inner', 'Tack circle', at(p.held));
    const piece = site.piece('piece', label, p.cloth, 'applique', {
      covers: petals,
      shows: 'front',
      shape: 'pre-cut',
      loose: true
    });
    const hidden = { threadOf: site.key('tack'), visible: 'hidden' } as const;
    site.toMachine();
    site.stop('mark', stopPart('Centre mark', 'centre-mark', /mark|centre|cross/, [mark], hidden));
    site.toTable();
    const hard = site.hand('hard-parts', { do: 'align-holes', pieceId: piece });
    const pin = site.hand(
      'pin',
      { do: 'pin', pieceId: top.id, pins: 1, away: 0, lineId: mark },
      { needs: [hard] }
    );
    const laid = site.hand(
      'lay',
      {
        do: 'lay',
        pieceId: piece,
        side: 'above',
        face: 'up',
        covers: petals,
        hold: { by: 'tape', strips: 6 }
      },
      {
        needs: [pin],
        note: 'Its holes over the pin, tape on the petals only, outside the stitching; rest the hoop on a container.'
      }
    );
    const checked = site.hand(
      'check',
      { do: 'other', title: 'Check the centre: the pin stands in the middle of every hole', seconds: 20 },
      { needs: [laid] }
    );
    const unpinned = site.hand(
      'unpin',
      { do: 'unpin' },
      { needs: [checked], note: 'Before the hoop goes on.' }
    );
    site.toMachine();
    site.hand('slow', { do: 'speed', spm: 350 });
    site.stop(
      'tack',
      { ...stopPart('Tack-down', 'tack-down', /tack/, [inner], { visible: 'hidden' }), thread: p.thread },
      [unpinned]
    );
    site.stop('zigzag', { ...stopPart('Zigzag', 'tack-down', /zig/, [inner], hidden), width: 2 });
    s.must(hard, laid, unpinned);
  }
};

const centreFields = {
  width: length('Across', 24, 8, 150),
  ...fromTheMiddle,
  cloth: material('Centre', { woven: 'Woven cotton', felt: 'Felt' }, ['woven', 'Lamp yellow', '#e3b341']),
  thread: thread('Edge thread', 'Brass', '#b58a3c')
} as const;

/** Cloth over the middle of a raised piece, under a topping that keeps what stands up from the foot. */
export const raisedCentre: BlockMaker<typeof centreFields> = {
  kind: 'raised-centre',
  name: 'Centre of a 3-D piece, under topping',
  summary:
    'Cloth and topping over the middle, tacked; the topping is lifted, the cloth trimmed, its edge comes later.',
  group: 'Cloth',
  fields: centreFields,
  lays: true,
  refuses: (standing) =>
    needsSurface(standing) ??
    (standing.raised
      ? null
      : { why: 'There is no 3-D piece under it.', repair: 'Put a 3-D piece before it.' }),
  make(site, p) {
    const { s } = site;
    const { raised: petals } = site.standing;
    if (!petals) return;
    const covers = petals.covers ?? site.frame.outlineId;
    const centre = site.line(
      'centre',
      'Centre',
      shifted(shapePath('oval', p.width, p.width), p.across, p.down)
    );
    const piece = site.piece('piece', site.label('Centre'), p.cloth, 'applique', {
      covers: centre,
      shows: 'front'
    });
    // Over the whole piece: its petals are what the foot catches.
    const topping = site.piece('topping', 'Topping', MATERIALS.film, 'applique', { covers });
    site.stop('placement', {
      ...stopPart('Centre placement', 'placement', /place|position/, [centre], { visible: 'hidden' }),
      optional: true,
      onlyCharted: true,
      threadOf: site.key('tack')
    });
    const laid = site.hand('lay', {
      do: 'lay',
      pieceId: piece,
      side: 'above',
      face: 'up',
      covers: centre,
      over: 12,
      hold: { by: 'spray' }
    });
    site.hand('topping-on', { do: 'topping-on', pieceId: topping }, { needs: [laid] });
    site.toMachine();
    site.stop('tack', {
      ...stopPart('Centre tack-down', 'tack-down', /centre|tack/, [centre], { visible: 'hidden' }),
      thread: p.thread
    });
    site.toTable();
    const trimmed = site.hand(
      'trim',
      {
        do: 'trim',
        pieceIds: [piece],
        lineId: centre,
        side: 'outside',
        margin: 0.5,
        keepIds: [topping, petals.id]
      },
      { note: 'Lift the topping, trim the centre’s cloth under it, lay the topping back.' }
    );
    s.must(laid, trimmed);
  }
};
