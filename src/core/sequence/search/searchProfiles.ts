import type { PassOptions } from '@/core/sequence/layers/passOptions'

/** How a pass goes about it: how many wet places it lets be, and how it ranks. From careful to free. */
export const searchProfiles: readonly Pick<PassOptions, 'share' | 'maxWet' | 'doubt'>[] = [
  { share: 1, maxWet: 1, doubt: 0 },
  { share: 0.5, maxWet: 2, doubt: 0.5 },
  { share: 0.34, maxWet: 3, doubt: 0 },
  { share: 0.3, doubt: 0.5 },
]
