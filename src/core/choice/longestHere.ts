import { message, type Said } from '@/core/message/message'
import { longestOf, type Longest } from '@/core/chemistry/longest'
import type { Product } from '@/core/chemistry/product'
import type { Condition } from '@/core/finishes/finish'
import type { UseSite } from '@/core/rules/judge'

/** Above this a wheel takes more from what is on it, °C. House estimate. */
const warmCelsius = 30
/** What is mixed by its label to half and less bites when it is used neat. House estimate. */
const thinnedShare = 0.5

const doubtful: readonly Condition[] = ['peeling', 'corroded', 'unknown']

/** Why what is mild elsewhere bites here, as a clause; empty where it does not. */
function whyItBites({ strength }: Product, fraction: number, sites: readonly UseSite[]): Said {
  if (sites.some(({ surfaceCelsius = 0 }) => surfaceCelsius > warmCelsius))
    return message('reasons.longest.warm')
  const isDoubtful = ({ surface }: UseSite): boolean =>
    surface !== null && (surface.finish === 'unknown' || doubtful.includes(surface.condition))
  if (sites.some(isDoubtful)) return message('reasons.longest.doubtful')
  return fraction >= 1 && strength.from < thinnedShare ? message('reasons.longest.neat') : ''
}

/** The kind of a product's longest time at some places: a doubtful finish, a warm wheel and a high strength make it a contact limit. */
export function longestHere(product: Product, fraction: number, sites: readonly UseSite[]): Longest {
  const kind = longestOf(product)
  const because = kind === 'wet' ? whyItBites(product, fraction, sites) : ''
  return because === '' ? { kind, because } : { kind: 'contact', because }
}
