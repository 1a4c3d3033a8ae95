import { plainConditions } from '@/core/conditions/conditions'
import { conditions, type Finish } from '@/core/finishes/finish'
import { allOf, fourCorners, testJob, testWheel } from '@/core/job/testJob'
import type { Corner, Job } from '@/core/job/job'
import { Draws } from '@/core/sequence/problem/seededRandom'
import type { Grade } from '@/core/soils/soil'
import type { ServiceId } from '@/core/visit-kinds/service'
import { axleOf } from '@/core/wheel/position'

/** What practice takes for a kind of visit: four wheels, one person, mild weather. */
export interface Practice {
  readonly service: ServiceId
  readonly metalTools: number
  readonly wheelChanges: number
  readonly steps: number
  /** On the clock, by how many spokes there are. */
  readonly minutes: (spokes: number) => readonly [from: number, to: number]
}

const usual = (spokes: number): readonly [number, number] =>
  spokes >= 20 ? [40, 85] : spokes >= 10 ? [28, 55] : [24, 42]
export const practices: readonly Practice[] = [
  { service: 'maintain', metalTools: 4, wheelChanges: 9, steps: 62, minutes: usual },
  { service: 'coatedMaintenance', metalTools: 4, wheelChanges: 9, steps: 58, minutes: usual },
  { service: 'winter', metalTools: 5, wheelChanges: 10, steps: 66, minutes: (spokes) => (spokes >= 10 ? [35, 75] : [32, 60]) },
  { service: 'decontaminate', metalTools: 5, wheelChanges: 17, steps: 84, minutes: (spokes) => (spokes >= 20 ? [50, 150] : [40, 120]) },
] // prettier-ignore

const finishes: readonly Finish[] = [
  'paintedGloss', 'paintedGloss', 'paintedGloss', 'glossBlack', 'glossBlack', 'powderCoat', 'diamondCut', 'matte', 'chrome', 'polishedBare', 'anodised',
] // prettier-ignore
const spokeCounts = [5, 5, 5, 7, 10, 10, 15, 20] as const

/** Dirt of a kind of visit, up to and from a grade; the rears have a grade less dust. */
const dirtOf: Record<string, Readonly<Record<string, readonly [from: number, to: number]>>> = {
  maintain: { film: [1, 2], dust: [1, 2], bonded: [0, 0], browning: [0, 2], grit: [0, 1], tar: [0, 0] },
  coatedMaintenance: { film: [1, 2], dust: [1, 2], bonded: [0, 0], browning: [0, 1], grit: [0, 1], tar: [0, 0] },
  winter: { film: [1, 3], dust: [1, 2], bonded: [0, 1], browning: [1, 2], grit: [1, 3], tar: [0, 0] },
  decontaminate: { film: [1, 3], dust: [1, 3], bonded: [1, 3], browning: [1, 3], grit: [0, 2], tar: [0, 1] },
} // prettier-ignore

const protectionOf: Partial<Record<ServiceId, readonly Corner['protection'][]>> = {
  maintain: [['sprayRinseSilica'], ['spraySealant'], ['wheelWax']],
  coatedMaintenance: [['ceramicCoating']],
  winter: [['spraySealant'], ['sprayRinseSilica'], []],
  decontaminate: [[], [], ['sprayRinseSilica']],
}

/** An ordinary car in mild weather, the same for the same number. */
export function ordinaryJob(seed: number): {
  readonly practice: Practice
  readonly job: Job
  readonly spokes: number
} {
  const draws = new Draws(seed)
  for (let at = 0; at < 5; at += 1) draws.draw(2)
  const one = <T>(list: readonly T[]): T => list[draws.draw(list.length)] as T
  const practice = one(practices)
  const { service } = practice
  const grade = (name: string): Grade => {
    const [from, to] = dirtOf[service]?.[name] ?? [0, 0]
    return (from + draws.draw(to - from + 1)) as Grade
  }
  const spokes = one(spokeCounts)
  const wheel = testWheel({
    tyreCode: spokes > 10 ? '255/35 R20' : '225/45 R18',
    rimWidthInches: 8,
    spokeCount: spokes,
    spokeWidthMillimetres: spokes >= 20 ? 18 : spokes >= 10 ? 28 : 45,
  })
  const [film, dust, bonded, browning, grit, tar] = ['film', 'dust', 'bonded', 'browning', 'grit', 'tar'].map(grade) as [Grade, Grade, Grade, Grade, Grade, Grade] // prettier-ignore
  const finishOf = allOf(one(finishes), conditions[0])
  const protection = one(protectionOf[service] ?? [[]])
  const less = (of: Grade): Grade => Math.max(0, of - 1) as Grade
  const corners = fourCorners({ wheel, finishes: finishOf, protection }).map((corner): Corner => {
    const isFront = axleOf(corner.position) === 'front'
    const freshDust = isFront ? dust : less(dust)
    const bondedDust = isFront ? bonded : less(bonded)
    const zone = { film, freshDust }
    return {
      ...corner,
      loads: {
        face: { ...zone, bondedDust, tar },
        barrel: { ...zone, bondedDust, tar },
        windows: zone,
        spokeBacks: zone,
        lip: zone,
        tyre: { tyreBrowning: browning, film: 1 },
        arch: { film: Math.min(2, film) as Grade, grit },
      },
    }
  })
  const weather = plainConditions({
    airCelsius: 12 + draws.draw(13),
    humidityShare: 0.45 + draws.draw(4) / 10,
    windKilometresPerHour: 2 + draws.draw(10),
    cloudShare: one([0.5, 1]),
    exposure: 'shade',
  })
  return { practice, spokes, job: testJob(corners, { service, conditions: weather }) }
}
