/** Places in the bar, in the order of the navigation; their names are `frame.places`. */
export const mainPlaces = [
  { href: '/', name: 'today' },
  { href: '/wheels', name: 'wheels' },
  { href: '/due', name: 'due' },
  { href: '/log', name: 'log' },
] as const

/** Places a phone reaches over "More"; a desk has room for them in the bar. */
export const morePlaces = [
  { href: '/cabinet', name: 'cabinet' },
  { href: '/mixing', name: 'mixing' },
  { href: '/rules', name: 'rules' },
  { href: '/settings', name: 'settings' },
] as const

export type PlaceName = (typeof mainPlaces)[number]['name'] | (typeof morePlaces)[number]['name'] | 'more'
