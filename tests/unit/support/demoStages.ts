import { LONG_STAGES } from './demoStagesLong';

/** Where each step of an item is done: loaded, on the machine, until the hoop is free, finished at the table. */
export interface StageSteps {
  load: string[];
  machine: string[];
  off: string[];
  finish: string[];
}

/** Of the demo’s items, read through one by one. */
export const DEMO_STAGES: Record<string, StageSteps[]> = {
  ...LONG_STAGES,
  'badger-tab': [
    {
      load: ['hoop'],
      machine: [
        'hoop-on',
        'placement',
        'lay',
        'tack-down',
        'decoration',
        'decoration',
        'decoration',
        'hoop-off',
        'turn-over',
        'snip',
        'lay',
        'turn-over',
        'hoop-on',
        'closing-seam',
        'hoop-off'
      ],
      off: ['inspect', 'snip', 'unhoop'],
      finish: ['untape', 'tear-away', 'cut-out', 'punch', 'hardware']
    }
  ],
  'bramble-bib': [
    {
      load: ['hoop', 'lay'],
      machine: [
        'hoop-on',
        'placement',
        'lay',
        'lay',
        'join-seam',
        'untape',
        'flip',
        'quilting',
        'insert-run',
        'closure-mark',
        'hoop-off',
        'lay',
        'hoop-on',
        'closing-seam',
        'hoop-off'
      ],
      off: ['inspect', 'unhoop'],
      finish: ['untape', 'cut-out', 'clip', 'turn-through', 'press', 'close-opening', 'hardware']
    }
  ],
  'button-badges': [
    { load: ['hoop'], machine: ['hoop-on', 'cut-line', 'hoop-off'], off: ['unhoop'], finish: ['other'] },
    {
      load: ['hoop'],
      machine: [
        'hoop-on',
        'load-file',
        'placement',
        'frame-forward',
        'lay',
        'frame-back',
        'decoration',
        'satin-edge',
        'placement',
        'frame-forward',
        'lay',
        'frame-back',
        'decoration',
        'satin-edge',
        'hoop-off'
      ],
      off: ['inspect', 'unhoop'],
      finish: ['topping-off']
    }
  ],
  'canopy-lace': [
    {
      load: ['hoop', 'bobbin'],
      machine: ['hoop-on', 'lace-underlay', 'lace', 'hoop-off'],
      off: ['inspect', 'unhoop'],
      finish: ['cut-roughly', 'rinse', 'wait', 'join-parts']
    }
  ],
  'driver-towel-patch': [
    {
      load: ['hoop'],
      machine: [
        'hoop-on',
        'placement',
        'lay',
        'tack-down',
        'hoop-off',
        'trim',
        'topping-on',
        'pin',
        'hoop-on',
        'lettering',
        'satin-edge',
        'hoop-off'
      ],
      off: ['unpin', 'topping-off', 'other', 'inspect', 'unhoop'],
      finish: ['tear-away', 'cut-out']
    }
  ],
  'fern-border-patch': [
    {
      load: ['hoop'],
      machine: ['hoop-on', 'decoration', 'decoration', 'cut-line', 'hoop-off'],
      off: ['unhoop'],
      finish: ['cut-out']
    },
    {
      load: ['hoop'],
      machine: ['hoop-on', 'placement', 'glue', 'lay', 'speed', 'satin-edge', 'hoop-off'],
      off: ['inspect', 'unhoop'],
      finish: ['cut-roughly', 'rinse', 'wait']
    }
  ],
  'lamp-patch': [
    {
      load: ['hoop'],
      machine: ['hoop-on', 'decoration', 'decoration', 'decoration', 'lettering', 'satin-edge', 'hoop-off'],
      off: ['inspect', 'unhoop'],
      finish: ['snip', 'tear-away', 'cut-roughly', 'heat-adhesive', 'fray-fluid', 'wait', 'cut-out']
    }
  ],
  'lantern-apron': [
    {
      load: ['back-cloth', 'hoop'],
      machine: [
        'hoop-on',
        'placement',
        'hoop-off',
        'lay',
        'hoop-on',
        'applique-edge',
        'placement',
        'lay',
        'tack-down',
        'hoop-off',
        'trim',
        'hoop-on',
        'applique-edge',
        'hoop-off'
      ],
      off: ['inspect', 'unhoop'],
      finish: ['snip', 'tear-away', 'press']
    }
  ],
  'napkin-window': [
    {
      load: ['hoop', 'lay', 'bobbin'],
      machine: [
        'hoop-on',
        'cut-line',
        'hoop-off',
        'cut-through',
        'patch-hole',
        'hoop-on',
        'bars',
        'satin-edge',
        'hoop-off'
      ],
      off: ['inspect', 'unhoop'],
      finish: ['rinse', 'wait', 'press']
    }
  ],
  'ticket-tab': [
    {
      load: ['hoop'],
      machine: [
        'hoop-on',
        'placement',
        'lay',
        'tack-down',
        'decoration',
        'decoration',
        'hoop-off',
        'turn-over',
        'snip',
        'lay',
        'turn-over',
        'hoop-on',
        'closing-seam',
        'closure-mark',
        'hoop-off'
      ],
      off: ['inspect', 'snip', 'unhoop'],
      finish: ['untape', 'tear-away', 'cut-out', 'punch', 'hardware', 'hardware']
    }
  ]
};
