/** The rooms of the application, in the order of the work. */
export const NAVIGATION = [
  { href: '/', name: 'Bench' },
  { href: '/items', name: 'Shelf' },
  { href: '/orders', name: 'Orders' },
  { href: '/stash', name: 'Stash' },
  { href: '/log', name: 'Log' },
  { href: '/guide', name: 'Guide' },
  { href: '/shop', name: 'Shop' }
] as const;

/** Every place one can go to by its name. */
export const PLACES = [
  ...NAVIGATION,
  { href: '/week', name: 'Week' },
  { href: '/practice', name: 'Practice' },
  { href: '/trouble', name: 'What went wrong?' },
  { href: '/guide/words', name: 'Words' },
  { href: '/handover', name: 'Hand over' }
] as const;
