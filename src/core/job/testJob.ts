// Builders for tests; nothing else imports them.
import { plainConditions } from '@/core/conditions/conditions'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import type { Condition, Finish } from '@/core/finishes/finish'
import { starterTools } from '@/core/tools/starterTools'
import { wheelGeometry, type WheelGeometry, type WheelMeasures } from '@/core/wheel-geometry'
import type { Position } from '@/core/wheel/position'
import { finishZones } from '@/core/wheel/zone'
import { noWishes, type Corner, type Job } from './job'
import { defaultMethods } from '@/core/methods/methods'

export function testWheel(changes: Partial<WheelMeasures> = {}): WheelGeometry {
  const made = wheelGeometry({
    tyreCode: '255/35 R19',
    rimWidthInches: 8.5,
    spokeCount: 10,
    spokeWidthMillimetres: 28,
    spokeDepthMillimetres: 45,
    ...changes,
  })
  if (!made.ok) throw new Error(JSON.stringify(made.problems))
  return made.value
}

export const allOf = (finish: Finish, condition: Condition = 'sound'): Corner['finishes'] =>
  Object.fromEntries(finishZones.map((zone) => [zone, { finish, condition }]))

export const testCorner = (position: Position, changes: Partial<Corner> = {}): Corner => ({
  position,
  wheel: testWheel(),
  finishes: allOf('paintedGloss'),
  loads: {},
  protection: [],
  curing: false,
  ...changes,
})

export const fourPositions: readonly Position[] = ['frontLeft', 'frontRight', 'rearRight', 'rearLeft']
export const fourCorners = (changes: Partial<Corner> = {}): Corner[] =>
  fourPositions.map((position) => testCorner(position, changes))

export const testJob = (corners: readonly Corner[], changes: Partial<Job> = {}): Job => ({
  vehicleName: 'Orlen Tessaly',
  vehicleKind: 'car',
  archLiner: 'plastic',
  wheelSetName: 'Summer set',
  service: 'decontaminate',
  corners,
  conditions: plainConditions(),
  crew: { people: 1 },
  cabinet: starterCabinet,
  tools: starterTools,
  methods: defaultMethods,
  wishes: noWishes,
  estimates: {},
  pace: {},
  equipment: {
    smallestMeasureMillilitres: 5,
    bucketLitres: 10,
    pressureBar: 110,
    lance: { washerLitresPerMinute: 8, drawLitresPerMinute: 1.1 },
  },
  currency: 'EUR',
  ...changes,
})
