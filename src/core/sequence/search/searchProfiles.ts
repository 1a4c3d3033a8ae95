import type { PassOptions } from '@/core/sequence/layers/passOptions'

/** How a pass goes about it: how many wet places it lets be, and how it ranks. From careful to free. */
export const searchProfiles: readonly Pick<PassOptions, 'share' | 'mostWet' | 'doubt'>[] = [
  { share: 1, mostWet: 1, doubt: 0 },
  { share: 0.5, mostWet: 2, doubt: 0.5 },
  { share: 0.34, mostWet: 3, doubt: 0 },
  { share: 0.3, doubt: 0.5 },
]
