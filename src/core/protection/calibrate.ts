import { exp, log } from '@/core/quantity/portableMath'
import { outlookOf, spreadOfUse, type LayerOutlook } from './outlook'
import { followSet, type Followed, type Following } from './followed'
import { learnFrom } from './learn'
import { noGrades } from './look'
import type { SetRecord, WearEstimates, WornProduct } from './record'
import { gradingOf, healthSlope, seenGrades } from './seenGrades'
import { millisecondsPerDay } from './seasons'
import type { SeenLook } from './sights'
import { usedSlopes, wearingOf } from './used'

/** How the shop's own past forecasts held. */
export interface Calibration {
  /** Later looks that were compared with what had been forecast before them. */
  readonly looks: number
  /** How many of them lay where eight of ten should; looks at an edge count in part. */
  readonly inside: number
  /** What the spread of every forecast is multiplied with since. */
  readonly widen: number
}

/** The past is forecast anew from these days on, days before now, each for so long. */
const cutDays = [100, 200, 300] as const
const horizonDays = 100
/** So many sets say enough. */
const maxSets = 60
/** Without a past the house trusts itself so far: spread of the logarithm of `widen`. */
const trust = 0.25
/** Never narrower: a lucky year is no knowledge. */
const widenings = Array.from({ length: 16 }, (_, at) => exp(at * 0.06))
const eightOfTen = { from: 0.1, to: 0.9 } as const

/** A set's record as it was at a cut: nothing later is known. */
function recordAt({ set, layers, washes, looks }: SetRecord, cut: number): SetRecord {
  const isBefore = (at: Date): boolean => at.getTime() <= cut
  return {
    set: { ...set, stored: set.stored.filter(({ from }) => isBefore(from)) },
    layers: layers
      .filter(({ appliedAt }) => isBefore(appliedAt))
      .map((layer) => (layer.endedAt && !isBefore(layer.endedAt) ? { ...layer, endedAt: null } : layer)),
    washes: washes.filter(({ at }) => isBefore(at)),
    looks: looks.filter(({ at }) => isBefore(at)),
  }
}

/** A look that came after a forecast, with what had been forecast. */
interface Later {
  readonly seen: SeenLook
  readonly outlook: LayerOutlook
  /** Of the share used, from what was not known. */
  readonly spread: number
}

/** The first look at each layer after a cut, with the forecast made at the cut. */
function laterLooks(
  records: readonly SetRecord[],
  products: readonly WornProduct[],
  following: Following,
  cut: number,
): Later[] {
  const then: Following = { ...following, now: cut }
  const sets = records.map((record) => followSet(recordAt(record, cut), then))
  const until = Math.min(following.now, cut + horizonDays * millisecondsPerDay)
  const isLater = ({ look }: SeenLook): boolean => look.at.getTime() > cut && look.at.getTime() <= until
  const told = records.map(
    (record) => new Map(followSet(record, following).layers.map((one) => [one.layer.id, one])),
  )
  if (!told.some((layers) => [...layers.values()].some(({ looks }) => looks.some(isLater)))) return []
  const learnt = learnFrom(sets, products, following.estimates).held
  return sets.flatMap(({ layers }, setAt) =>
    layers.flatMap((one: Followed): Later[] => {
      const seen = told[setAt]?.get(one.layer.id)?.looks.find(isLater)
      if (!seen) return []
      const outlook = outlookOf(one, setAt, learnt)
      // What was forecast at the cut, not what is known since.
      const wear = one.exposure.wearAt(seen.look.at.getTime())
      return [{ seen: { ...seen, wear }, outlook, spread: spreadOfUse(wear, outlook) }]
    }),
  )
}

const grades = noGrades()

/** How likely each grade of beading was, forecasts being so much wider. */
function forecastGrades(
  { seen, outlook, spread }: Later,
  widen: number,
  estimates: WearEstimates,
): Float64Array {
  const grading = gradingOf(outlook.values)
  const { used } = usedSlopes(seen.wear, wearingOf(outlook.values))
  const own = estimates.lookSpread * grading.wider
  const ofUse = spread * widen * healthSlope(used)
  seenGrades(
    seen.look.afterReviving ? 0 : seen.clog,
    used,
    { ...grading, wider: 1 },
    Math.sqrt(own * own + ofUse * ofUse),
    grades,
  )
  return grades.likely
}

/** Which part of a grade's share lies between the tenth and the ninetieth of a hundred. */
function insideShare(likely: Float64Array, grade: number): number {
  const from = likely.slice(0, grade).reduce((sum, one) => sum + one, 0)
  const own = likely[grade] ?? 0
  const overlap = Math.min(from + own, eightOfTen.to) - Math.max(from, eightOfTen.from)
  return own > 0 ? Math.max(0, overlap) / own : 0
}

/**
 * Holds the shop's own past against what would have been forecast: at several days of the past everything is learnt from what was
 * known then, and the next look at each layer compared. Where those fall outside more often than they should, forecasts widen; a
 * few looks move little. Maximum of the looks' likelihood under a normal prior for the logarithm of the factor.
 */
export function calibrate(
  records: readonly SetRecord[],
  products: readonly WornProduct[],
  following: Following,
): Calibration {
  const some = records.filter(({ looks }) => looks.length > 0).slice(0, maxSets)
  const later = cutDays.flatMap((days) =>
    laterLooks(some, products, following, following.now - days * millisecondsPerDay),
  )
  const { estimates } = following
  const fit = (widen: number): number => {
    const prior = log(widen) / trust
    return later.reduce(
      (sum, one) => sum + log(forecastGrades(one, widen, estimates)[one.seen.look.beading] ?? 1),
      (-prior * prior) / 2,
    )
  }
  const fits = widenings.map(fit)
  const best = fits.indexOf(Math.max(...fits))
  return {
    looks: later.length,
    inside: later.reduce(
      (sum, one) => sum + insideShare(forecastGrades(one, 1, estimates), one.seen.look.beading),
      0,
    ),
    widen: widenings[best] ?? 1,
  }
}
