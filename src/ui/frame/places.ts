/** Places in the bar, in the order of the navigation. */
export const mainPlaces = [
  { href: '/', name: 'Today' },
  { href: '/wheels', name: 'Wheels' },
  { href: '/due', name: 'Due' },
  { href: '/log', name: 'Log' },
] as const

/** Places a phone reaches over "More"; a desk has room for them in the bar. */
export const morePlaces = [
  { href: '/cabinet', name: 'Cabinet', purpose: 'Products, tools, stock, what a clean wheel costs' },
  { href: '/bench', name: 'Mixing', purpose: 'Any strength in, recipe and bottle label out' },
  { href: '/rules', name: 'Rules', purpose: 'What a finish can stand, and why' },
  { href: '/settings', name: 'Settings', purpose: 'Shop schools, units, equipment, estimates' },
] as const

export type PlaceName = (typeof mainPlaces)[number]['name'] | (typeof morePlaces)[number]['name'] | 'More'
