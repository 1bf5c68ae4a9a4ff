import { OUTLINE_CM, type Expected } from './layingSteps';

/** Steps that cut through, thread, look after the machine and finish. */
export const OTHER_STEPS: Expected[] = [
  {
    op: { do: 'cut-away-behind', pieceIds: ['stabiliser'], lineId: 'outline', from: 'back' },
    title: 'Cut STABILISER away behind',
    detail: /from the back/,
    mark: 'cut',
    seconds: 60,
    caution: /mat/
  },
  {
    op: { do: 'cut-through', pieceIds: ['front', 'stabiliser'], lineId: 'outline' },
    title: 'Cut through FRONT and STABILISER',
    detail: /Just inside the outline/,
    mark: 'cut',
    seconds: 30 + 1.5 * OUTLINE_CM,
    caution: /mat/
  },
  {
    op: { do: 'load-file', fileId: 'file-1' },
    title: 'Load “Test item”',
    detail: /number 1 again/,
    mark: 'machine',
    seconds: 30
  },
  {
    op: { do: 'one-colour', stops: 3 },
    title: 'Set one-colour mode',
    detail: /The 3 stops of this file run as one/,
    mark: 'machine',
    seconds: 5
  },
  {
    op: { do: 'speed', spm: null },
    title: 'Bring the speed back up',
    detail: /usually run/,
    mark: 'machine',
    seconds: 5
  },
  {
    op: { do: 'patch-hole', pieceId: 'front', lineId: 'outline' },
    title: 'Patch the hole',
    detail: /cover it fully/,
    mark: 'lay',
    seconds: 30
  },
  {
    op: { do: 'zip', pieceId: 'front', to: 'three-quarters' },
    title: 'Open FRONT three quarters',
    detail: /through it later/,
    mark: 'fasten',
    seconds: 10
  },
  {
    op: { do: 'zip', pieceId: 'front', to: 'closed' },
    title: 'Close FRONT',
    detail: /^$/,
    mark: 'fasten',
    seconds: 10
  },
  {
    op: { do: 'topping-on', pieceId: 'front' },
    title: 'Lay FRONT on top',
    detail: /stitching to come/,
    mark: 'lay',
    seconds: 30
  },
  {
    op: { do: 'topping-off', pieceId: 'front' },
    title: 'Take FRONT off',
    detail: /dab/,
    mark: 'tear',
    seconds: 60
  },
  {
    op: { do: 'thread', threadId: 'thread-4' },
    title: 'Thread Pink',
    detail: /Hold the tail/,
    mark: 'thread',
    seconds: 70 + 15,
    caution: /Halt the machine/
  },
  {
    op: { do: 'bobbin' },
    title: 'Put in a full bobbin',
    detail: /stays in the hoop/,
    mark: 'bobbin',
    seconds: 60,
    caution: /Halt the machine/
  },
  {
    op: { do: 'bobbin', threadId: 'thread-3' },
    title: 'Change the bobbin: White',
    detail: /hoop/,
    mark: 'bobbin',
    seconds: 60,
    caution: /Halt/
  },
  {
    op: { do: 'wind-bobbin', threadId: 'thread-3' },
    title: 'Wind a bobbin: White',
    detail: /full/,
    mark: 'bobbin',
    seconds: 90
  },
  {
    op: { do: 'needle', needle: '90/14' },
    title: 'Change the needle: 90/14',
    detail: /pushed up fully/,
    mark: 'machine',
    seconds: 60,
    caution: /Halt/
  },
  {
    op: { do: 'speed', spm: 350 },
    title: 'Set the speed to 350',
    detail: /minute/,
    mark: 'machine',
    seconds: 5
  },
  {
    op: { do: 'trace' },
    title: 'Trace the design',
    detail: /inside the ring/,
    mark: 'machine',
    seconds: 30,
    caution: /carriage/
  },
  {
    op: { do: 'insert-run', fileName: 'Bramble', pieceId: 'front', stitches: 0 },
    title: 'Run “Bramble”',
    detail: /Leave this file.*stitch it on FRONT/,
    mark: 'machine',
    seconds: 90 + 120
  },
  {
    op: { do: 'snip', side: 'both', jumps: 4 },
    title: 'Snip tails and jumps on both sides',
    detail: /About 4/,
    mark: 'cut',
    seconds: 16
  },
  {
    op: { do: 'inspect' },
    title: 'Look before you unhoop',
    detail: /can still run again now/,
    mark: 'look',
    seconds: 45
  },
  {
    op: { do: 'check-under' },
    title: 'Look under the hoop',
    detail: /Nothing folded/,
    mark: 'look',
    seconds: 10
  },
  { op: { do: 'tear-away' }, title: 'Tear the stabiliser away', detail: /thumb/, mark: 'tear', seconds: 60 },
  { op: { do: 'rinse' }, title: 'Rinse', detail: /out of the drain/, mark: 'water', seconds: 180 },
  { op: { do: 'wait', why: 'glue' }, title: 'Let the glue set', detail: /^$/, mark: 'wait', seconds: 0 },
  { op: { do: 'wait', why: 'dry' }, title: 'Let it dry', detail: /overnight/, mark: 'wait', seconds: 0 },
  {
    op: { do: 'fray-fluid', lineId: 'outline' },
    title: 'Seal the edge',
    detail: /before you cut/,
    mark: 'water',
    seconds: 60
  },
  {
    op: { do: 'heat-adhesive', pieceId: 'back' },
    title: 'Iron BACK to the back',
    detail: /The paper stays on/,
    mark: 'heat',
    seconds: 45,
    caution: /Hot iron/
  },
  {
    op: { do: 'cut-roughly', lineId: 'outline', margin: 15 },
    title: 'Cut roughly',
    detail: /About 15 mm outside the outline/,
    mark: 'cut',
    seconds: 30 + 1.5 * (OUTLINE_CM + 3 * Math.PI),
    caution: /mat/
  },
  {
    op: { do: 'cut-out', lineId: 'outline', margin: 3 },
    title: 'Cut out',
    detail: /3 mm outside the outline, all round/,
    mark: 'cut',
    seconds: 30 + 1.5 * (OUTLINE_CM + 0.6 * Math.PI),
    caution: /mat/
  },
  // A clip every 12 mm of its two round ends, 94.2 mm: 8 clips at 1.5 s.
  {
    op: { do: 'clip', lineId: 'outline' },
    title: 'Clip the curves',
    detail: /not into it/,
    mark: 'cut',
    seconds: 12
  },
  {
    op: { do: 'turn-through', lineId: 'outline' },
    title: 'Turn through the opening of the outline',
    detail: /never scissors/,
    mark: 'fold',
    seconds: 180
  },
  {
    op: { do: 'turn-through', pieceId: 'front' },
    title: 'Turn through FRONT',
    detail: /blunt/,
    mark: 'fold',
    seconds: 120
  },
  {
    op: { do: 'close-opening', lineId: 'outline', by: 'hand' },
    title: 'Close the opening of the outline by hand',
    detail: /clips/,
    mark: 'fasten',
    seconds: 240
  },
  {
    op: { do: 'close-opening', lineId: 'outline', by: 'machine' },
    title: 'Close the opening of the outline by machine',
    detail: /press/,
    mark: 'fasten',
    seconds: 90
  },
  {
    op: { do: 'join-parts', loops: 4 },
    title: 'Join the parts at 4 loops',
    detail: /button through its loop/,
    mark: 'fasten',
    seconds: 180
  },
  {
    op: { do: 'mount', position: 2 },
    title: 'Move the hoop to mounting position 2',
    detail: /behind the machine/,
    mark: 'move',
    seconds: 20
  },
  {
    op: { do: 'hardware', kind: 'hook-and-loop', count: 1 },
    title: 'Sew the hook-and-loop on',
    detail: /Rounded corners/,
    mark: 'fasten',
    seconds: 180
  },
  {
    op: { do: 'punch', holes: 2 },
    title: 'Punch 2 holes',
    detail: /At the marks/,
    mark: 'cut',
    seconds: 30,
    caution: /fingers away/
  },
  {
    op: { do: 'hardware', kind: 'snap', count: 2 },
    title: 'Set 2 snaps',
    detail: /2 caps, 1 socket, 1 stud/,
    mark: 'fasten',
    seconds: 80,
    caution: /under three/
  },
  {
    op: { do: 'hardware', kind: 'eyelet', count: 1 },
    title: 'Set the eyelet',
    detail: /flange/,
    mark: 'fasten',
    seconds: 30,
    caution: /under three/
  },
  {
    op: { do: 'hardware', kind: 'split-ring', count: 1 },
    title: 'Put the ring on',
    detail: /^$/,
    mark: 'fasten',
    seconds: 15
  },
  {
    op: { do: 'hardware', kind: 'ribbon-loop', count: 2 },
    title: 'Put the ribbon loops on',
    detail: /^$/,
    mark: 'fasten',
    seconds: 30
  },
  {
    op: { do: 'other', title: 'Brush the pile up', seconds: 40 },
    title: 'Brush the pile up',
    detail: /^$/,
    mark: 'note',
    seconds: 40
  },
  {
    op: { do: 'left-out', what: 'Ruffle', why: 'It is too long.', repair: 'Take 100 mm.' },
    title: 'Not on this sheet: Ruffle',
    detail: /^Because: It is too long. Take 100 mm.$/,
    mark: 'note',
    seconds: 0
  }
];
