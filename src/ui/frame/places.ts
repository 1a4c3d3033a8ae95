/** The places of the application, in the order of the navigation. */
export const places = [
  { href: '/', name: 'Today' },
  { href: '/wheels', name: 'Wheels' },
  { href: '/due', name: 'Due' },
  { href: '/log', name: 'Log' },
] as const
