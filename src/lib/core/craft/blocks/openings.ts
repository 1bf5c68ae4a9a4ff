import { offsetPath, segment, shifted } from '$lib/core/base/geometry';
import { choice, count, length, MATERIALS, onlyWhere, stopPart, thread } from '$lib/core/craft/sequence';
import { WASHES_OUT } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { needsSurface } from './refusals';
import { fromTheMiddle, spotFields, spotPath } from './spots';
import type { Site } from './site';

const SATIN_MM = 3;
/** Angles of so many cutting needles, spread evenly over half a turn. @example anglesOf(3) // [0, 60, 120] */
const anglesOf = (needles: number): number[] =>
  Array.from({ length: needles }, (_, at) => Math.round((180 / needles) * at));

const windowFields = {
  ...spotFields(40, 30),
  school: choice(
    'How it is cut',
    {
      scissors: 'Scissors: the cloth only',
      'cut-through': 'Knife: cloth and stabiliser, then patched',
      needles: 'Cutting needles, each at its own angle'
    },
    'scissors'
  ),
  needles: onlyWhere(count('Cutting needles', 4, 2, 4, 'as many as the set has'), 'school', 'needles'),
  thread: thread('Thread, top and bobbin', 'Cream', '#efe3c4')
} as const;

/** A window cut in the cloth, bridged with bars and edged in satin. */
export const cutworkOpening: BlockMaker<typeof windowFields> = {
  kind: 'cutwork-opening',
  name: 'Cutwork opening',
  summary: 'A window cut by scissors, by a knife or by needles, with bars across and satin round it.',
  group: 'Openings',
  fields: windowFields,
  lays: true,
  refuses(standing, { school }) {
    const none = needsSurface(standing);
    if (none) return none;
    if (standing.layered)
      return {
        why: 'More than one cloth lies in the window: only the upper one would be cut away.',
        repair: 'Leave batting, panels and strips out, or the window.'
      };
    if (standing.under) return { why: 'The back lies under the window.', repair: 'Move it before the back.' };
    const washes = standing.ring.some(({ material }) => WASHES_OUT.includes(material.kind));
    if (!washes)
      return {
        why: 'Bars across an opening need wash-away in the ring: any other stabiliser stays in the window.',
        repair: 'Take wash-away for the hooping.'
      };
    const sticky = standing.ring.some(({ material }) => material.kind === 'sticky-wash-away');
    return school === 'cut-through' && !sticky
      ? {
          why: 'A hole through the stabiliser is patched on its sticky side.',
          repair: 'Take sticky wash-away for the hooping, or cut with scissors.'
        }
      : null;
  },
  make(site, p) {
    const { top, ring } = site.standing;
    if (!top) return;
    const base = ring.map(({ id }) => id).filter((id) => id !== top.id);
    const window = site.line('window', 'Window', spotPath(p));
    const [w, h] = [p.width / 2, p.height / 2];
    const bars = [
      site.line('bar-1', 'Bars across', shifted(segment(-w, 0, w, 0), p.across, p.down)),
      site.line('bar-2', 'Bars down', shifted(segment(0, -h, 0, h), p.across, p.down))
    ];
    const hidden = { threadOf: site.key('satin'), visible: 'hidden' } as const;
    const bobbin = site.hand('bobbin', { do: 'bobbin', threadId: `stop:${site.key('satin')}` });
    site.toMachine();
    site.stop('outline', {
      ...stopPart('Cut outline', 'cut-line', /outline|cut/, [window], hidden),
      passes: 2
    });
    cut(site, p, { window, top: top.id, base });
    site.toMachine();
    site.stop('bars', {
      ...stopPart('Bars', 'bars', /bar/, bars, { threadOf: site.key('satin'), visible: 'both' }),
      width: 1.5
    });
    const satin = site.stop('satin', {
      ...stopPart('Window satin', 'satin-edge', /satin|edge/, [window], { visible: 'both' }),
      protected: true,
      width: SATIN_MM,
      thread: p.thread
    });
    site.s.must(bobbin, satin);
    const [carrier] = ring.filter(({ id }) => id !== top.id);
    if (carrier) site.s.truth({ kind: 'stabiliser', pieceId: carrier.id, kinds: [...WASHES_OUT], plies: 1 });
  }
};

function cut(
  site: Site,
  { school, needles }: { school: 'scissors' | 'cut-through' | 'needles'; needles: number },
  on: { window: string; top: string; base: string[] }
): void {
  if (school === 'needles') {
    let before = site.key('outline');
    for (const angle of anglesOf(needles)) {
      const needle = site.hand(
        `needle-${angle}`,
        { do: 'needle', needle: `cutting, ${angle} degrees` },
        { needs: [before] }
      );
      before = site.stop(
        `cut-${angle}`,
        stopPart(
          `Needle cut, ${angle}°`,
          'needle-cut',
          new RegExp(`cut.*${angle}|${angle}|needle`),
          [on.window],
          {
            threadOf: site.key('satin'),
            visible: 'hidden'
          }
        ),
        [needle]
      );
      site.s.must(needle);
    }
    site.s.must(site.hand('needle-back', { do: 'needle', needle: 'new 75/11' }, { needs: [before] }));
    return;
  }
  site.toTable();
  if (school === 'scissors') {
    site.s.must(
      site.hand('cut', {
        do: 'cut-away-behind',
        pieceIds: [on.top],
        lineId: on.window,
        from: 'front',
        keepIds: on.base
      })
    );
    return;
  }
  const scrap = site.piece('scrap', 'Sticky scrap', MATERIALS.sticky, 'applique', { covers: on.window });
  const through = site.hand('cut', { do: 'cut-through', pieceIds: [...on.base, on.top], lineId: on.window });
  site.s.must(
    through,
    site.hand('patch', { do: 'patch-hole', pieceId: scrap, lineId: on.window }, { needs: [through] })
  );
}

const eyeletFields = {
  ...fromTheMiddle,
  hole: length('The hole, across', 4, 2, 20),
  thread: thread('Thread', 'Cream', '#efe3c4')
} as const;

/** A round hole punched in the hoop and edged in satin. */
export const eyelet: BlockMaker<typeof eyeletFields> = {
  kind: 'eyelet',
  name: 'Eyelet, punched and edged',
  summary: 'A hole punched through the layers and satin round it.',
  group: 'Openings',
  fields: eyeletFields,
  refuses: needsSurface,
  make(site, { hole, thread: colour, ...spot }) {
    const ring = site.line(
      'ring',
      site.label('Eyelet'),
      spotPath({ shape: 'oval', width: hole + 2, height: hole + 2, ...spot })
    );
    site.hand('punch', { do: 'punch', holes: 1 });
    site.toMachine();
    site.stop('satin', {
      ...stopPart(`${site.label('Eyelet')}: satin`, 'satin-edge', /eyelet|hole/, [ring], {
        visible: 'front'
      }),
      width: 2,
      thread: colour
    });
  }
};

const slotFields = {
  ...spotFields(40, 6),
  thread: thread('Thread', 'Cream', '#efe3c4')
} as const;

/** A slot stitched all round and slit open at the end. */
export const slot: BlockMaker<typeof slotFields> = {
  kind: 'slot',
  name: 'Slot',
  summary: 'A slot edged in satin through the layers and slit open when the item is finished.',
  group: 'Openings',
  fields: slotFields,
  refuses: needsSurface,
  make(site, { thread: colour, ...spot }) {
    const ring = offsetPath(spotPath({ ...spot, shape: 'tab' }), 1.5) ?? spotPath(spot);
    const line = site.line('slot', site.label('Slot'), ring);
    site.toMachine();
    site.stop('satin', {
      ...stopPart(`${site.label('Slot')}: satin`, 'applique-edge', /slot|satin/, [line], { visible: 'both' }),
      alsoRoles: ['satin-edge'],
      width: 2.5,
      thread: colour
    });
  }
};
