import type { Job } from '@/core/job/job'
import { jobFormat, readJob } from '@/contracts/jobFile'

type Grade = 0 | 1 | 2 | 3 | 4
interface Load {
  readonly zone: string
  readonly soil: string
  readonly grade: Grade
}

const positions = ['frontLeft', 'frontRight', 'rearRight', 'rearLeft'] as const
const finishZones = ['lip', 'face', 'windows', 'barrel', 'cap', 'caliper'] as const
const isFront = (position: string): boolean => position.startsWith('front')

/** Dust by axle, film, bonded dust and tar on the wheel; light film and browning below; grit in the arch. */
function loadsOf(
  position: string,
  dirt: { front: Grade; rear: Grade; film: Grade; bonded?: Grade; tar?: Grade; grit?: Grade },
): Load[] {
  const dust = isFront(position) ? dirt.front : dirt.rear
  const wheel = ['face', 'barrel', 'windows', 'spokeBacks', 'lip'].flatMap((zone): Load[] => [
    { zone, soil: 'freshDust', grade: dust },
    { zone, soil: 'film', grade: dirt.film },
  ])
  const bitten = ['face', 'barrel'].flatMap((zone): Load[] => [
    { zone, soil: 'bondedDust', grade: dirt.bonded ?? 0 },
    { zone, soil: 'tar', grade: dirt.tar ?? 0 },
  ])
  return [
    ...wheel,
    ...bitten,
    { zone: 'tyre', soil: 'tyreBrowning', grade: 1 },
    { zone: 'tyre', soil: 'film', grade: 1 },
    { zone: 'arch', soil: 'film', grade: 1 },
    { zone: 'arch', soil: 'grit', grade: dirt.grit ?? 1 },
  ].filter(({ grade }) => grade > 0) as Load[]
}

export interface Reference {
  /** Taps in the bay, at most. */
  readonly taps: number
  readonly name: string
  /** What the plan took before passes and one recipe, minutes; absent where there was none to compare. */
  readonly before?: number
  readonly service: string
  /** Minutes on the clock, one person. */
  readonly from: number
  readonly to: number
  readonly dirt: Parameters<typeof loadsOf>[1]
  readonly spokes?: number
  readonly spokeWidth?: number
  readonly finish?: string
  readonly protection?: readonly string[]
  readonly wheels?: number
}

const spray = ['sprayRinseSilica'] as const
export const references: readonly Reference[] = [
  { name: 'quick round', service: 'quickRound', taps: 14, from: 12, to: 20, dirt: { front: 1, rear: 1, film: 1, grit: 0 }, protection: ['ceramicCoating'] },
  { name: 'waterless touch-up', before: 23, service: 'waterless', taps: 12, from: 10, to: 15, dirt: { front: 1, rear: 1, film: 0 }, protection: ['ceramicCoating'] },
  { name: 'maintenance, open wheels, light', before: 60, service: 'maintain', taps: 26, from: 28, to: 42, dirt: { front: 1, rear: 1, film: 1 }, protection: spray },
  { name: 'maintenance, open wheels, clear', before: 68, service: 'maintain', taps: 26, from: 28, to: 42, dirt: { front: 2, rear: 1, film: 1 }, protection: spray },
  { name: 'maintenance, ten gloss black spokes', before: 78, service: 'maintain', taps: 28, from: 34, to: 50, dirt: { front: 2, rear: 1, film: 1 }, spokes: 10, spokeWidth: 28, finish: 'glossBlack', protection: spray },
  { name: 'maintenance, twenty-four narrow spokes', before: 98, service: 'maintain', taps: 30, from: 55, to: 85, dirt: { front: 2, rear: 1, film: 1 }, spokes: 24, spokeWidth: 18, protection: spray },
  { name: 'winter wash', service: 'winter', taps: 32, from: 40, to: 60, dirt: { front: 2, rear: 1, film: 2, grit: 2 }, protection: ['spraySealant'] },
  { name: 'decontamination, neglected', before: 106, service: 'decontaminate', taps: 46, from: 75, to: 120, dirt: { front: 3, rear: 2, film: 3, bonded: 3 } },
  { name: 'restoration with tar', before: 104, service: 'restore', taps: 70, from: 120, to: 240, dirt: { front: 4, rear: 3, film: 3, bonded: 3, tar: 2 } },
  { name: 'wheels off', before: 107, service: 'wheelsOff', taps: 80, from: 150, to: 270, dirt: { front: 3, rear: 2, film: 3, bonded: 3 } },
  { name: 'one easy wheel', before: 22, service: 'maintain', taps: 9, from: 7, to: 11, dirt: { front: 1, rear: 1, film: 1 }, protection: spray, wheels: 1 },
] // prettier-ignore

/** The job of a reference. */
export function referenceJob(reference: Reference, people: number): Job {
  const { spokes = 5, spokeWidth = 45, finish = 'paintedGloss', protection = [], wheels = 4 } = reference
  const read = readJob({
    format: jobFormat,
    service: reference.service,
    crew: { people },
    corners: positions.slice(0, wheels).map((position) => ({
      position,
      tyreCode: spokes > 20 ? '255/35 R20' : '225/45 R18',
      rimWidthInches: 8,
      spokeCount: spokes,
      spokeWidthMillimetres: spokeWidth,
      finishes: finishZones.map((zone) => ({ zone, finish })),
      loads: loadsOf(position, reference.dirt),
      protection,
    })),
  })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return read.value.job
}
