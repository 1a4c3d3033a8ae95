import { message, sentences, type Message, type Said } from '@/core/message/message'
import type { StageTiming } from '@/core/plan/stageTiming'
import type { Conditions, HourAhead } from '@/core/conditions/conditions'
import { surfaceOfCorner } from '@/core/conditions/conditions'
import { absorptances, surfaceCelsius } from '@/core/conditions/surface'
import { evaporationKilogramsPerM2Hour, filmGramsPerM2, wetLimitSeconds } from '@/core/conditions/wetLimit'
import type { Delivery } from '@/core/chemistry/family'
import { wetTimes, type Longest } from '@/core/chemistry/longest'
import { secondsOfAct } from '@/core/operator-time/operatorTime'
import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { Corner, Job } from '@/core/job/job'
import type { StageKind } from '@/core/acts/stageKind'

/** What a way of working asks for. */
export interface ContactWork {
  readonly dwellMinSeconds: number
  readonly contactSeconds: number
  readonly labelMaxSeconds: number
  readonly mistSeconds: number
  readonly toolChangeSeconds: number
  /** Putting it on once more, where a part is sprayed as one comes to it. */
  readonly spraySeconds: number
  /** What bites is on from the first drop, so that its spray counts; 0 for what is only kept wet. */
  readonly fromFirstDropSeconds: number
}

/** Sections a wheel is split into, from whole to quarters. */
export const sectionCounts = [1, 2, 3, 4] as const
/** More mists than this are a sign that it does not work. */
const maxMists = 3

/**
 * The least split that stays wet: after the dwell the brush has to have been everywhere before the film is dry, and all of it
 * before the label's time is over. Mists bridge a long dwell.
 * @returns null when even quarters with mists dry
 */
export function leastSplit(
  work: ContactWork,
  wetLimit: number,
  maxSections: number = sectionCounts.length,
): { sections: number; mists: number } | null {
  for (const sections of sectionCounts.slice(0, maxSections)) {
    const contact = Math.ceil(work.contactSeconds / sections)
    for (let mists = 0; mists <= maxMists; mists += 1) {
      const total = work.dwellMinSeconds + contact + 2 * work.toolChangeSeconds
      // Each mist begins the clock anew; the last stretch holds the brush.
      const stretch = mists === 0 ? total : contact + 2 * work.toolChangeSeconds + work.mistSeconds
      const between = mists === 0 ? 0 : work.dwellMinSeconds / mists + work.mistSeconds
      if (
        stretch <= wetLimit &&
        between <= wetLimit &&
        total + mists * work.mistSeconds + Math.ceil(work.fromFirstDropSeconds / sections) <=
          work.labelMaxSeconds
      )
        return { sections, mists }
    }
  }
  return null
}

/** How long a delivery stays wet on a corner now, or at another hour; infinite where nothing dries. */
export function wetLimitAt(
  corner: Pick<Corner, 'position' | 'finishes'>,
  kind: StageKind,
  delivery: Delivery,
  conditions: Conditions,
  overrides: EstimateOverrides,
  at: HourAhead | null = null,
): { readonly seconds: number; readonly surface: number; readonly isMeasured: boolean } {
  const found = surfaceOfCorner(corner, conditions, at)
  const { airCelsius, humidityShare, windKilometresPerHour } = at ?? conditions
  // Liners lie in the shade of the wheel; rubber is as dark as can be.
  const surface = found.isMeasured
    ? found.celsius
    : kind === 'arch'
      ? airCelsius
      : kind === 'tyre'
        ? surfaceCelsius(airCelsius, absorptances.glossBlack.value, found.wattsPerM2, windKilometresPerHour)
        : found.celsius
  const evaporation = evaporationKilogramsPerM2Hour(surface, airCelsius, humidityShare, windKilometresPerHour)
  return {
    // In the rain nothing dries.
    seconds: conditions.raining
      ? Infinity
      : wetLimitSeconds(filmGramsPerM2(delivery, overrides), evaporation, overrides),
    surface,
    isMeasured: found.isMeasured,
  }
}

/** The same work where what is reached late is sprayed as one comes to it: twice the label's time, and a spray more. */
export const keptFresh = (work: ContactWork): ContactWork => ({
  ...work,
  labelMaxSeconds: wetTimes * work.labelMaxSeconds,
  contactSeconds: work.contactSeconds + work.spraySeconds,
})

interface TimedStage {
  readonly longest?: Longest
  readonly id: string
  readonly kind: StageKind
  readonly delivery: Delivery
  readonly dwellSeconds: { readonly min: number; readonly max: number }
  readonly labelMaxSeconds: number
}

/** Splits, mists and the words for one stage at one wheel. */
export function timingOf(stage: TimedStage, corner: Corner, contactSeconds: number, job: Job): StageTiming {
  const { conditions, estimates } = job
  const { seconds, surface, isMeasured } = wetLimitAt(
    corner,
    stage.kind,
    stage.delivery,
    conditions,
    estimates,
  )
  const work: ContactWork = {
    dwellMinSeconds: stage.dwellSeconds.min,
    contactSeconds,
    labelMaxSeconds: stage.labelMaxSeconds,
    mistSeconds: estimate('secondsReMist', estimates),
    toolChangeSeconds: estimate('secondsToolChange', estimates),
    spraySeconds: estimate('secondsSpray', estimates),
    fromFirstDropSeconds:
      stage.longest?.kind === 'contact' ? secondsOfAct('spray', stage.kind, corner, job) : 0,
  }
  const known = {
    stageId: stage.id,
    corner: corner.position,
    surfaceCelsius: Math.round(surface * 10) / 10,
    isMeasured,
    wetLimitSeconds: seconds === Infinity ? null : seconds,
    labelMaxSeconds: stage.labelMaxSeconds,
  }
  const temperature = message(
    isMeasured ? 'reasons.timing.measuredTemperature' : 'reasons.timing.estimatedTemperature',
    { temperature: { celsius: surface } },
  )
  if (!splitKinds.includes(stage.kind)) return unsplitTiming(stage, known, temperature, work, seconds)
  if (stage.delivery === 'bucket') return bucketTiming(stage, known, temperature, work, seconds)
  const once = leastSplit(work, seconds)
  const fresh = stage.longest?.kind === 'wet' ? leastSplit(keptFresh(work), seconds) : null
  if (fresh && isPutOnAnew(fresh, once, surface))
    return {
      ...known,
      sections: 1,
      mists: 0,
      isByZones: true,
      isStaggered: true,
      freshCoats: fresh.sections,
      isNotNow: false,
      text: sayFreshCoats(stage.labelMaxSeconds, fresh.sections),
    }
  const isStaggered = fresh !== null && isLess(fresh, once)
  const own = isStaggered ? keptFresh(work) : work
  const split = isStaggered ? fresh : (once ?? asLongAsItGoes(work, seconds))
  if (!split) {
    return {
      ...known,
      sections: 4,
      mists: maxMists,
      isNotNow: true,
      text: sentences(
        message('reasons.timing.tooDry', { temperature, time: { dwellSeconds: seconds } }),
        asFoam(stage, corner, work, null, job),
      ),
    }
  }
  // With all the time in the world, would it still be worked in parts? Then it is the label that asks for them.
  const byLabel = leastSplit(own, Infinity)?.sections ?? sectionCounts.length
  const isByLabel = split.sections > 1 && byLabel >= split.sections
  return {
    ...known,
    ...split,
    ...(isByLabel ? { isByZones: true } : {}),
    ...(isStaggered ? { isStaggered } : {}),
    isNotNow: false,
    text:
      isByLabel || isStaggered
        ? sayByLabel(stage.labelMaxSeconds, split, isStaggered)
        : sentences(sayFilm(temperature, seconds, split), asFoam(stage, corner, work, split, job)),
  }
}

/** Surfaces below this are mild: what dries there is put on anew; above it the part that is done is rinsed first, °C. */
const mildCelsius = 28

/** Whether a mild product goes on anew for each part of the wheel, instead of every part having a rinse of its own. */
const isPutOnAnew = (fresh: Split, once: Split | null, surfaceCelsius: number): boolean =>
  fresh.sections > 1 &&
  fresh.mists === 0 &&
  surfaceCelsius < mildCelsius &&
  (once === null || once.sections > 1)

function sayFreshCoats(labelMaxSeconds: number, coats: number): Message {
  const time = { dwellSeconds: labelMaxSeconds }
  if (coats <= 2) return message('reasons.timing.freshCoat2', { time })
  return coats === 3
    ? message('reasons.timing.freshCoat3', { time })
    : message('reasons.timing.freshCoat4', { time })
}

interface Split {
  readonly sections: number
  readonly mists: number
}

const isLess = (one: Split, other: Split | null): boolean =>
  other === null ||
  one.sections < other.sections ||
  (one.sections === other.sections && one.mists < other.mists)

/** Where the label is shorter than the brush, a quarter is worked for as long as it allows. */
function asLongAsItGoes(work: ContactWork, wetLimit: number): Split | null {
  const firstDropSeconds = Math.ceil(work.fromFirstDropSeconds / sectionCounts.length)
  const room = work.labelMaxSeconds - firstDropSeconds - work.dwellMinSeconds - 2 * work.toolChangeSeconds
  const contactSeconds = Math.min(work.contactSeconds, 4 * room)
  return room > 0 ? leastSplit({ ...work, contactSeconds }, wetLimit) : null
}

function sayByLabel(labelMaxSeconds: number, { sections, mists }: Split, isStaggered: boolean): Said {
  const time = { dwellSeconds: labelMaxSeconds }
  const way =
    sections === 1
      ? isStaggered
        ? message('reasons.timing.asYouCome', { time })
        : message('reasons.timing.rinseAsYouCome', { time })
      : isStaggered
        ? message('reasons.timing.labelStaggered', { time, parts: sections })
        : message('reasons.timing.label', { time, parts: sections })
  return sentences(way, sayMists(mists))
}

const byParts = ['whole', 'half', 'third', 'quarter'] as const

/** How much of the wheel stays wet long enough at once. */
function sayFilm(temperature: Message, seconds: number, { sections, mists }: Split): Said {
  if (seconds === Infinity) return message('reasons.timing.wholeNothingDries', { temperature })
  const part = byParts[sections - 1] ?? 'quarter'
  return sentences(
    message(`reasons.timing.${part}`, { temperature, time: { dwellSeconds: seconds } }),
    sayMists(mists),
  )
}

/**
 * Every stroke of the mitt wets the wheel again. The first strokes still have to be rinsed before they dry, and all of it within twice the
 * label's time.
 */
function bucketTiming(
  { longest }: TimedStage,
  known: Omit<StageTiming, 'sections' | 'mists' | 'isNotNow' | 'text'>,
  temperature: Message,
  { contactSeconds, toolChangeSeconds, dwellMinSeconds, labelMaxSeconds, fromFirstDropSeconds }: ContactWork,
  wetLimit: number,
): StageTiming {
  const allowedSeconds = longest?.kind === 'contact' ? labelMaxSeconds : wetTimes * labelMaxSeconds
  const byLabel =
    sectionCounts.find(
      (count) =>
        dwellMinSeconds + (contactSeconds + fromFirstDropSeconds) / count + 2 * toolChangeSeconds <=
        allowedSeconds,
    ) ?? sectionCounts.length
  const byFilm = sectionCounts.find(
    (count) => contactSeconds / strokes / count + toolChangeSeconds <= wetLimit,
  )
  // In mild weather hands are quicker instead, where nothing bites.
  const isStrict = longest?.kind === 'contact' || known.surfaceCelsius >= mildCelsius
  if (isStrict && byLabel > (wetLimit === Infinity ? 1 : (byFilm ?? Infinity)))
    return {
      ...known,
      sections: byLabel,
      mists: 0,
      isByZones: true,
      isNotNow: false,
      text: sayByLabel(labelMaxSeconds, { sections: byLabel, mists: 0 }, longest?.kind !== 'contact'),
    }
  if (wetLimit === Infinity)
    return {
      ...known,
      sections: 1,
      mists: 0,
      isNotNow: false,
      text: message('reasons.timing.nothingDries', { temperature }),
    }
  const sections = byFilm
  return sections === undefined
    ? {
        ...known,
        sections: sectionCounts.length,
        mists: 0,
        isNotNow: true,
        text: message('reasons.timing.tooDry', { temperature, time: { dwellSeconds: wetLimit } }),
      }
    : {
        ...known,
        sections,
        mists: 0,
        isNotNow: false,
        text: sayFilm(temperature, wetLimit, { sections, mists: 0 }),
      }
}

/** The mitt comes by so often before the rinse. House estimate. */
const strokes = 2

/** Only a wheel's chemistry is worked in parts. */
const splitKinds: readonly StageKind[] = ['wash', 'iron', 'mineral']
/** Solvent and wipe-on go on a dry wheel: no mist. */
const dryKinds: readonly StageKind[] = ['tar', 'waterless']

/** Liners, tyres, tar spots and waterless work are not split: they are kept wet with mists, or done a little at a time. */
function unsplitTiming(
  { kind, delivery, longest }: TimedStage,
  known: Omit<StageTiming, 'sections' | 'mists' | 'isNotNow' | 'text'>,
  temperature: Message,
  work: ContactWork,
  wetLimit: number,
): StageTiming {
  const whole = { ...known, sections: 1, isNotNow: false }
  if (wetLimit === Infinity)
    return { ...whole, mists: 0, text: message('reasons.timing.nothingDries', { temperature }) }
  const film = { temperature, time: { dwellSeconds: wetLimit } }
  const own = longest?.kind === 'wet' ? { ...work, labelMaxSeconds: wetTimes * work.labelMaxSeconds } : work
  const split = delivery === 'bucket' ? { mists: 0 } : leastSplit(own, wetLimit, 1)
  if (dryKinds.includes(kind))
    return {
      ...whole,
      mists: 0,
      text:
        split?.mists === 0
          ? message('reasons.timing.allAtOnce', film)
          : message('reasons.timing.littleWiped', film),
    }
  // What dries under the brush is misted as one goes; before it only the dwell has to be bridged.
  const mists = (split ?? leastSplit({ ...own, contactSeconds: 0 }, wetLimit, 1))?.mists ?? maxMists
  return {
    ...whole,
    mists,
    text: split
      ? sentences(message('reasons.timing.allAtOnce', film), sayMists(mists))
      : message('reasons.timing.littleScrubbed', film),
  }
}

const sayMists = (mists: number): Said =>
  mists === 0 ? '' : message('reasons.timing.mists', { count: mists })

/** Wheel chemistry that a foamer can put on as well; a solvent or a spray-and-wipe stays what it is. */
const foamed: readonly StageKind[] = ['wash', 'iron', 'mineral']

/** What a thicker coat would change, where it changes something; empty otherwise. */
function asFoam(
  stage: TimedStage,
  corner: Corner,
  work: ContactWork,
  thin: { readonly sections: number; readonly mists: number } | null,
  job: Job,
): Said {
  if (stage.delivery !== 'trigger' || !foamed.includes(stage.kind)) return ''
  const { seconds } = wetLimitAt(corner, stage.kind, 'pumpFoamer', job.conditions, job.estimates)
  const thick = leastSplit(work, seconds)
  if (!thick || (thin && (thick.sections >= thin.sections || thick.mists > thin.mists))) return ''
  return message(asFoamKeys[byParts[thick.sections - 1] ?? 'quarter'], { time: { dwellSeconds: seconds } })
}

const asFoamKeys = {
  whole: 'reasons.timing.foamWhole',
  half: 'reasons.timing.foamHalf',
  third: 'reasons.timing.foamThird',
  quarter: 'reasons.timing.foamQuarter',
} as const
