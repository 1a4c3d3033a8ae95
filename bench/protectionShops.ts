// Shops made up day by day from the story of the forecast, with the truth kept beside; each story breaks it in another way.
import { Draws } from '@/core/sequence/problem/seededRandom'
import { testEstimates } from '@/core/protection/testEstimates'
import type { ShopRecord, WornLayer, WornLook, WornSet, WornWash } from '@/core/protection/record'

/** How a shop's story differs from what the forecast reckons with. */
export interface Story {
  readonly name: string
  /** Added to what a look sees: owners grade kindly. */
  readonly kindness?: number
  readonly trueWinterFactor?: number
  /** Share of sets that are driven twice as far from eight months ago on, which nobody told. */
  readonly changedShare?: number
  /** Share of visits with looks. */
  readonly looked?: number
  readonly lookSpread?: number
}

export const stories: readonly Story[] = [
  { name: 'as told' },
  { name: 'kind grading', kindness: 0.1 },
  { name: 'harsher winters', trueWinterFactor: 2.3 },
  { name: 'changed driving', changedShare: 0.35 },
  { name: 'few looks', looked: 0.2 },
  { name: 'careless looks', lookSpread: 0.2 },
]

export interface Truth {
  readonly id: string
  readonly topUpDays: number | null
  readonly renewDays: number | null
}

const day = 86_400_000
const estimates = testEstimates

class Chance {
  private readonly draws: Draws
  constructor(seed: number) {
    this.draws = new Draws(seed)
  }
  share(): number {
    return (this.draws.draw(1_000_000) + 0.5) / 1_000_000
  }
  between(from: number, to: number): number {
    return from + (to - from) * this.share()
  }
  pick<T>(list: readonly T[]): T {
    return list[this.draws.draw(list.length)] as T
  }
  normal(): number {
    return Math.sqrt(-2 * Math.log(this.share())) * Math.cos(2 * Math.PI * this.share())
  }
}

interface Car {
  readonly set: WornSet
  readonly wear: number
  readonly clogs: number
  readonly isChanged: boolean
  readonly visitDays: number
}
interface Coat {
  readonly layer: WornLayer & { endedAt: Date | null }
  used: number
  clog: number
  topUpAt: number | null
  renewAt: number | null
}

/** One shop of a story, two years of records, and what happens after. */
export function shopOf(story: Story, seed: number): { record: ShopRecord; truth: Truth[] } {
  const chance = new Chance(seed)
  const now = Date.UTC(2026, 6, 15, 9)
  const begin = now - 730 * day
  const changeAt = now - 240 * day
  const kinds = Object.keys(estimates.kinds)
  const products = Array.from({ length: 10 }, (_, at) => ({
    id: `product-${at}`,
    kind: kinds[at % kinds.length] as string,
    life: Math.exp(0.3 * chance.normal()),
  }))
  const cars = Array.from({ length: 18 }, (_, at): Car => ({
    set: {
      id: `set-${at}`,
      kilometresPerWeek: Math.round(chance.between(80, 500)),
      dustFactor: chance.pick([0.5, 1, 1, 1.6]),
      stored: [],
    },
    wear: Math.exp(0.35 * chance.normal()),
    clogs: Math.exp(0.5 * chance.normal()),
    isChanged: chance.share() < (story.changedShare ?? 0),
    visitDays: chance.between(20, 60),
  }))
  const layers: Coat[] = []
  const washes: WornWash[] = []
  const looks: WornLook[] = []
  const isWinter = (at: number) => estimates.winterMonths.includes(new Date(at).getUTCMonth() + 1)
  const wearOf = (coat: Coat, { set, wear, isChanged }: Car, at: number): number => {
    const product = products.find(({ id }) => id === coat.layer.productId)!
    const kind = estimates.kinds[product.kind]!
    const season = isWinter(at) ? (story.trueWinterFactor ?? estimates.winterFactor) : 1
    const driven = isChanged && at > changeAt ? 2 : 1
    const share = coat.layer.axle === 'front' ? 1 : estimates.rearDustShare
    const road = (driven * (set.kilometresPerWeek / 7) * set.dustFactor * share) / kind.lifeKilometres
    return (wear / product.life) * (season / kind.lifeDays + road)
  }
  for (const car of cars) {
    const on = new Map<string, Coat>()
    let visitAt = begin + chance.between(0, 40) * day
    for (let at = begin; at < now + 7 * 365 * day; at += day) {
      for (const coat of on.values()) {
        coat.used += wearOf(coat, car, at)
        const weekly = isWinter(at) ? estimates.clogWinterPerWeek : estimates.clogPerWeek
        coat.clog = Math.min(estimates.clogMost, coat.clog + (car.clogs * weekly) / 7)
      }
      const isVisit = at >= visitAt
      if (isVisit) {
        visitAt = at + car.visitDays * chance.between(0.7, 1.4) * day
        const reviving = chance.share() < 0.15
        const wear = chance.share() < 0.02 ? 0.85 : chance.between(0.02, 0.07)
        const isPast = at < now
        if (isPast) washes.push({ at: new Date(at), setId: car.set.id, wear, reviving })
        const isLooked = chance.share() < (story.looked ?? 0.85)
        for (const axle of ['front', 'rear'] as const) {
          const coat = on.get(axle)
          if (coat) {
            const product = products.find(({ id }) => id === coat.layer.productId)!
            coat.used += wear * estimates.kinds[product.kind]!.washFactor
            coat.clog *= reviving ? 0.05 : estimates.clogLeftByWash
            if (isPast && isLooked) {
              const shown = Math.max(0, 1 - coat.used) * (1 - coat.clog)
              const seen = shown + (story.kindness ?? 0) + (story.lookSpread ?? 0.11) * chance.normal()
              const beading = Math.max(0, Math.min(4, Math.round(seen * 4))) as WornLook['beading']
              looks.push({ at: new Date(at), layerId: coat.layer.id, beading, afterReviving: reviving })
            }
          }
          const isDue = !coat || coat.used > chance.between(0.7, 1.3)
          if (!isPast || !isDue) continue
          if (coat) coat.layer.endedAt = new Date(at)
          const fresh: Coat = {
            layer: {
              id: `layer-${layers.length}`,
              setId: car.set.id,
              axle,
              productId: chance.pick(products).id,
              appliedAt: new Date(at),
              endedAt: null,
            },
            used: 0,
            clog: 0,
            topUpAt: null,
            renewAt: null,
          }
          layers.push(fresh)
          on.set(axle, fresh)
        }
      }
      for (const coat of on.values()) {
        if (coat.used >= 0.75) coat.topUpAt ??= at
        if (coat.used >= 1) coat.renewAt ??= at
      }
      if (at > now && [...on.values()].every(({ renewAt }) => renewAt !== null)) break
    }
  }
  const days = (at: number | null) => (at === null ? null : (at - now) / day)
  return {
    record: {
      now: new Date(now),
      estimates,
      products: products.map(({ id, kind }) => ({ id, kind })),
      sets: cars.map(({ set }) => set),
      layers: layers.map(({ layer }) => layer),
      washes,
      looks,
    },
    truth: layers
      .filter(({ layer }) => layer.endedAt === null)
      .map(({ layer, topUpAt, renewAt }) => ({
        id: layer.id,
        topUpDays: days(topUpAt),
        renewDays: days(renewAt),
      })),
  }
}
