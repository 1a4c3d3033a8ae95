import { message, type Message } from '@/core/message/message'
import { term } from '@/core/message/term'
import { harshOf } from '@/core/choice/cost'
import { wheelSoils, type WheelSoil } from '@/core/choice/need'
import { optionsFor, type Option } from '@/core/choice/option'
import { groupWheels, type WheelGroup } from '@/core/choice/wheelGroup'
import type { Role } from '@/core/choice/role'
import { familyOf } from '@/core/chemistry/families'
import { coldDwellSeconds } from '@/core/efficacy/coldDwell'
import { surfaceCelsiusOf, type Job } from '@/core/job/job'
import { services } from '@/core/visit-kinds/service'
import { zoneTools } from '@/core/stages/stageDraft'
import { optionText } from '@/core/reasons/explain'
import type { StageKind } from '@/core/acts/stageKind'
import { longerSeconds, maxTries, type Escalation, type Spot } from './escalation'

const isWheelSoil = (soil: Spot['soil']): soil is WheelSoil => wheelSoils.some((one) => one === soil)

/** More than this times what was tried is a step up. House estimate. */
const stepUp = 1.15
/** Where nothing was tried yet, the mildest that does this share of what the best does. House estimate. */
const goodEnough = 0.4

const kindOf = ({ role, product }: Option): StageKind => {
  if (product.family === 'waterlessSpray') return 'waterless'
  const kinds: Record<Role, StageKind> = { wash: 'wash', iron: 'iron', tar: 'tar', acid: 'mineral' }
  return kinds[role]
}

/** The spot alone, as if it were all there is to do; null where no tool of the kit gets there. */
function spotGroup(job: Job, { corner, zone, soil }: Spot): { group: WheelGroup; job: Job } | null {
  const { water } = services[job.service]
  const alone: Job = {
    ...job,
    // Whatever the visit is for, what stayed is what is wanted off now.
    service: water ? 'decontaminate' : job.service,
    // Without water only light dirt may be rubbed at, and that is what is left.
    corners: [{ ...corner, loads: { [zone]: { [soil]: water ? 2 : 1 } } }],
  }
  const [group] = groupWheels(alone)
  return group?.zones.includes(zone) ? { group: { ...group, zones: [zone] }, job: alone } : null
}

/** A spot is sprayed or dabbed; nobody fills a bucket or a lance for it where a bottle does. */
const isForSpots = ({ product }: Option): boolean =>
  product.delivery !== 'bucket' && product.delivery !== 'lance'

/** Options that could come next on a spot, gentlest first; what did as little before is not among them. */
export function stepsUp(options: readonly Option[], soil: WheelSoil, tried: Spot['tried']): Option[] {
  const at = wheelSoils.indexOf(soil)
  const does = (option: Option): number => option.removes[at] ?? 0
  const allowed = options.filter(
    (option) => option.judgement.verdict !== 'no' && option.rounds === 1 && does(option) > 0,
  )
  const wasTried = ({ product, fraction }: Option): boolean =>
    tried.some(({ productId, strength }) => productId === product.id && strength.to >= fraction * 0.999)
  const most = Math.max(0, ...allowed.filter(wasTried).map(does))
  const least = most > 0 ? most * stepUp : goodEnough * Math.max(0, ...allowed.map(does))
  return allowed
    .filter((option) => !wasTried(option) && does(option) >= least)
    .sort((a, b) => harshOf(a.cost) - harshOf(b.cost) || does(b) - does(a))
}

/** What was tried once and does most here, once more: what bleeds often bleeds again, and the rest gets more time. */
function onceMore(options: readonly Option[], soil: WheelSoil, tried: Spot['tried']): Option | undefined {
  const at = wheelSoils.indexOf(soil)
  const times = (option: Option): number =>
    tried
      .filter(({ productId }) => productId === option.product.id)
      .reduce((sum, { rounds }) => sum + rounds, 0)
  return options
    .filter(
      (option) => option.judgement.verdict !== 'no' && option.rounds === 1 && (option.removes[at] ?? 0) > 0,
    )
    .filter((option) => times(option) > 0 && times(option) < maxTries)
    .sort((a, b) => (b.removes[at] ?? 0) - (a.removes[at] ?? 0))[0]
}

/** The next escalation for a spot of a wheel. */
export function wheelEscalation(job: Job, spot: Spot): Escalation | null {
  const { zone, soil, tried } = spot
  const alone = isWheelSoil(soil) ? spotGroup(job, spot) : null
  if (!alone || !isWheelSoil(soil)) return null
  const options = optionsFor(alone.group, alone.job)
  const up = stepsUp(options, soil, tried)
  const next = up.find(isForSpots) ?? up[0]
  const again = next ? undefined : onceMore(options, soil, tried)
  const option = next ?? again
  if (!option) return null
  const { product, fraction, dwellSeconds, labelMaxSeconds, judgement } = option
  const shortest = Math.min(product.dwellSeconds.min, dwellSeconds)
  const before = coldDwellSeconds(shortest, dwellSeconds, surfaceCelsiusOf(job), job.estimates)
  return {
    kind: kindOf(option),
    product,
    fraction,
    dwellSeconds: {
      min: again ? Math.min(dwellSeconds, longerSeconds(labelMaxSeconds, before)) : before,
      max: labelMaxSeconds,
    },
    zones: [zone],
    tools: zoneTools(new Map([[zone, alone.group.tools.get(zone) ?? null]])),
    judgement,
    why: sayWhy(spot, option, again !== undefined),
    care: [],
    rounds: 1,
  }
}

/** What comes next on a spot, and that something stayed there. */
function sayWhy({ soil, zone }: Spot, option: Option, isAgain: boolean): Message {
  const stayed = { soil: { capital: term('soil', soil) }, zone: term('zone', zone) }
  if (!isAgain) return message('observations.look.stronger', { ...stayed, product: optionText(option) })
  return familyOf(option.product.family).bleeds
    ? message('observations.look.bleedsAgain', { ...stayed, product: option.product.name })
    : message('observations.look.again', { ...stayed, product: option.product.name })
}
