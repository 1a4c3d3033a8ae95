// Random jobs for tests; nothing else imports them.
import fc from 'fast-check'
import type { FamilyId } from '@/core/chemistry/families'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { plainConditions } from '@/core/conditions/conditions'
import { finishes as allFinishes, type Condition, type Finish } from '@/core/finishes/finish'
import { defaultMethods } from '@/core/methods/methods'
import type { Grade } from '@/core/soils/soil'
import { starterTools } from '@/core/tools/starterTools'
import { toolKinds, type ToolKind } from '@/core/tools/tool'
import { serviceIds } from '@/core/visit-kinds/service'
import { usualPositions, vehicleKinds } from '@/core/wheel/position'
import { planNames, type Corner, type Job } from './job'
import { testCorner, testJob, testWheel } from './testJob'

const grade = fc.constantFrom(0, 1, 2, 3, 4) as fc.Arbitrary<Grade>
/** Everything that decides about a plan, with the usual kit and cabinet. */
export const anySituation = fc.record({
  service: fc.constantFrom(...serviceIds),
  vehicleKind: fc.constantFrom(...vehicleKinds),
  finish: fc.constantFrom<Finish>(...allFinishes),
  condition: fc.constantFrom<Condition>('sound', 'sound', 'sound', 'chipped'),
  film: grade,
  dust: grade,
  bonded: grade,
  tar: grade,
  mineral: grade,
  browning: grade,
  grit: grade,
  spokeCount: fc.constantFrom(0, 5, 10, 24),
  airCelsius: fc.constantFrom(-9, 3, 12, 20, 30, 38),
  humidityShare: fc.constantFrom(0.4, 0.6, 0.97),
  raining: fc.boolean(),
  exposure: fc.constantFrom('shade' as const, 'partSun' as const, 'fullSun' as const),
  protection: fc.constantFrom<Corner['protection']>(
    [],
    ['sprayRinseSilica'],
    ['wheelWax'],
    ['ceramicCoating'],
  ),
  hasCaliper: fc.boolean(),
  curing: fc.boolean(),
  prefer: fc.constantFrom(...planNames),
  people: fc.constantFrom(1, 2),
  methods: fc.record({
    overFoaming: fc.boolean(),
    tyre: fc.constantFrom('beforeWheel' as const, 'afterWheel' as const),
    rinseFirst: fc.constantFrom('byFinish' as const, 'always' as const, 'never' as const),
    wheelsOrder: fc.constantFrom('first' as const, 'between' as const),
    passes: fc.constantFrom('oneRinse' as const, 'oneRinse' as const, 'everyStage' as const),
  }),
})
export type Situation = typeof anySituation extends fc.Arbitrary<infer T> ? T : never

/** A clean, painted car in the shade, worked by one person: what an example changes stands out. */
export const plainSituation: Situation = {
  service: 'maintain',
  vehicleKind: 'car',
  finish: 'paintedGloss',
  condition: 'sound',
  film: 0,
  dust: 0,
  bonded: 0,
  tar: 0,
  mineral: 0,
  browning: 0,
  grit: 0,
  spokeCount: 10,
  airCelsius: 20,
  humidityShare: 0.4,
  raining: false,
  exposure: 'shade',
  protection: [],
  hasCaliper: false,
  curing: false,
  prefer: 'gentlest',
  people: 1,
  methods: {
    overFoaming: false,
    tyre: 'beforeWheel',
    rinseFirst: 'byFinish',
    wheelsOrder: 'first',
    passes: 'oneRinse',
  },
}

/** The job of a situation. */
export function jobOf(one: Situation): Job {
  const condition = one.finish === 'unknown' ? 'unknown' : one.condition
  const surface = { finish: one.finish, condition } as const
  const zones = ['lip', 'face', 'windows', 'barrel', 'cap', ...(one.hasCaliper ? ['caliper'] : [])]
  const corners = usualPositions[one.vehicleKind].map((position, at) =>
    testCorner(position, {
      wheel: testWheel({ spokeCount: one.spokeCount, spokeWidthMillimetres: one.spokeCount > 20 ? 14 : 28 }),
      finishes: Object.fromEntries(zones.map((zone) => [zone, surface])),
      loads: {
        face: { film: one.film, freshDust: one.dust, bondedDust: one.bonded, tar: one.tar },
        barrel: { film: one.film, freshDust: one.dust, bondedDust: one.bonded, grit: one.grit },
        lip: { mineral: one.mineral },
        tyre: { tyreBrowning: one.browning },
        arch: { film: one.film, grit: one.grit },
      },
      protection: one.protection,
      curing: at === 0 && one.curing,
    }),
  )
  return testJob(corners, {
    service: one.service,
    vehicleKind: one.vehicleKind,
    conditions: plainConditions({
      airCelsius: one.airCelsius,
      exposure: one.exposure,
      humidityShare: one.humidityShare,
      raining: one.raining,
    }),
    crew: { people: one.people },
    methods: { ...defaultMethods, ...one.methods },
    wishes: { prefer: one.prefer, pinned: [], forbidden: [] },
  })
}

/** Some kinds of tool that are missing, and some families the cabinet does not have. */
const anyLack = fc.record({
  missingTools: fc.subarray<ToolKind>([...toolKinds], { maxLength: 8 }),
  missingFamilies: fc.subarray<FamilyId>(
    starterCabinet.map(({ family }) => family),
    { maxLength: 12 },
  ),
})

/** The job of any situation, with what is left of kit and cabinet. */
export const anyPoorJob: fc.Arbitrary<Job> = fc
  .tuple(anySituation, anyLack)
  .map(([situation, { missingTools, missingFamilies }]) => ({
    ...jobOf(situation),
    tools: starterTools.filter(({ kind }) => !missingTools.includes(kind)),
    cabinet: starterCabinet.filter(({ family }) => !missingFamilies.includes(family)),
  }))
