import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plainConditions } from '@/core/conditions/conditions'
import { defaultMethods, type Methods } from '@/core/methods/methods'
import { fourCorners, fourPositions, testCorner, testJob } from '@/core/job/testJob'
import { serviceIds } from '@/core/visit-kinds/service'
import { makePlan } from '@/core/planning/makePlan'
import { familyOf } from '@/core/chemistry/families'
import { stagesOfStep, takesOff, type Plan, type Step } from '@/core/plan/plan'

const loads = {
  face: { film: 2, freshDust: 2 },
  barrel: { film: 2, bondedDust: 3, tar: 1 },
  tyre: { tyreBrowning: 2 },
  arch: { grit: 2, film: 2 },
} as const

const anyVisit = fc.record({
  service: fc.constantFrom(...serviceIds),
  wheels: fc.integer({ min: 1, max: 4 }),
  airCelsius: fc.constantFrom(4, 18, 31),
  exposure: fc.constantFrom('shade' as const, 'partSun' as const),
  vehicleKind: fc.constantFrom('car' as const, 'trailer' as const, 'looseSet' as const),
  methods: fc.record({
    tyre: fc.constantFrom<Methods['tyre']>('beforeWheel', 'afterWheel'),
    wheelsOrder: fc.constantFrom<Methods['wheelsOrder']>('first', 'last', 'between'),
    drying: fc.constantFrom<Methods['drying']>('air', 'towel', 'leaveWet'),
    arches: fc.constantFrom<Methods['arches']>('always', 'whereSoiled'),
  }),
})
type Visit = typeof anyVisit extends fc.Arbitrary<infer T> ? T : never

const planOf = ({ service, wheels, airCelsius, exposure, vehicleKind, methods }: Visit): Plan =>
  makePlan(
    testJob(
      fourPositions.slice(0, wheels).map((position) => testCorner(position, { loads })),
      {
        service,
        vehicleKind,
        conditions: plainConditions({ airCelsius, exposure }),
        methods: { ...defaultMethods, ...methods },
      },
    ),
  )

const check = (name: string, holds: (plan: Plan) => void) =>
  it(name, () =>
    fc.assert(
      fc.property(anyVisit, (visit) => holds(planOf(visit))),
      { numRuns: 25 },
    ),
  )
const at = (steps: readonly Step[], holds: (step: Step) => boolean) =>
  steps.flatMap((step, index) => (holds(step) ? [index] : []))

describe('the steps of any visit', () => {
  check('have names of their own and take whole seconds', ({ steps }) => {
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
    for (const { operatorSeconds } of steps) {
      expect(operatorSeconds).toBeGreaterThan(0)
      expect(Number.isInteger(operatorSeconds)).toBe(true)
    }
  })

  check('take off whatever dwells before anything else is put on the same wheel', ({ steps }) => {
    const wet = new Map<string, Set<string>>()
    for (const step of steps) {
      if (!step.corner) continue
      const here = wet.get(step.corner) ?? new Set()
      wet.set(step.corner, here)
      if (step.startsDwell) for (const stageId of stagesOfStep(step)) here.add(stageId)
      if (step.stopsDwellOf === null) continue
      // A rinse takes off all there is, and nothing that is not.
      expect([...here].filter((stageId) => !takesOff(step, stageId))).toEqual([])
      expect([step.stopsDwellOf, ...(step.alsoStops ?? [])].sort()).toEqual([...here].sort())
      here.clear()
    }
    expect([...wet.values()].flatMap((left) => [...left])).toEqual([])
  })

  check('never put acid and alkaline, or two cleaners of the wheel, into one pass', ({ steps, stages }) => {
    for (const step of steps.filter(({ alsoStops = [] }) => alsoStops.length > 0)) {
      const mine = stages.filter(({ id }) => takesOff(step, id))
      expect(mine.filter(({ kind }) => kind !== 'arch' && kind !== 'tyre').length).toBeLessThanOrEqual(1)
      const traits = mine.map(({ family }) => familyOf(family).traits.join(' '))
      expect(traits.some((text) => /Acid/.test(text)) && traits.some((text) => /Alkali/.test(text))).toBe(
        false,
      )
      expect(
        mine.some(({ kind, rounds }) => kind === 'tar' || (kind !== 'tyre' && kind !== 'arch' && rounds > 1)),
      ).toBe(false)
    }
  })

  check('begin with looking and getting ready and end with writing down', ({ steps }) => {
    const firstWet = at(steps, ({ act }) => act === 'spray' || act === 'preRinse')[0] ?? steps.length
    for (const act of ['lookRound', 'coolCheck'] as const)
      expect(at(steps, (step) => step.act === act)[0] ?? -1).toBeLessThan(firstWet)
    if (steps.length > 0) expect(steps.at(-1)?.act).toBe('writeDown')
  })

  check('dry a wheel after its last rinse and dress its tyre after that', ({ steps }) => {
    for (const corner of fourPositions) {
      const own = steps.filter((step) => step.corner === corner)
      const lastRinse = Math.max(-1, ...at(own, ({ act, stageId }) => act === 'rinse' && stageId !== null))
      for (const index of at(own, ({ id }) => id === `${corner}.dry`))
        expect(index).toBeGreaterThan(lastRinse)
      for (const index of at(own, ({ act }) => act === 'dress')) expect(index).toBeGreaterThan(lastRinse)
    }
  })

  check('touch no zone outside their stage', ({ steps, stages }) => {
    for (const step of steps) {
      const { zones, alsoStops = [] } = step
      const known = stages.filter(({ id }) => stagesOfStep(step).includes(id) || alsoStops.includes(id))
      const worked = known.flatMap((stage) => stage.zones)
      if (known.length > 0) for (const zone of zones) expect(worked).toContain(zone)
    }
  })

  check('mist only what was sprayed and not yet brushed', ({ steps }) => {
    steps.forEach((step, index) => {
      if (step.act !== 'reMist') return
      const own = steps
        .slice(0, index)
        .filter(({ corner, stageId }) => corner === step.corner && stageId === step.stageId)
      expect(['spray', 'reMist']).toContain(own.at(-1)?.act)
    })
  })

  check('work the parts of a wheel one after the other, every one of them', ({ steps }) => {
    const parts = new Map<string, number[]>()
    for (const { corner, stageId, part, act, id } of steps) {
      if (!part || act !== 'spray') continue
      const round = /spray(\d*)/.exec(id)?.[1] ?? ''
      const key = `${corner}.${stageId}.${round}`
      parts.set(key, [...(parts.get(key) ?? []), part.number])
      expect(part.number).toBeLessThanOrEqual(part.of)
    }
    for (const numbers of parts.values()) expect(numbers).toEqual(numbers.map((_, index) => index + 1))
  })

  check('stand beside a car with its cautions: washer, label, jack and nuts', ({ steps, service }) => {
    if (steps.length === 0) return
    const has = (key: string): boolean =>
      steps.some(({ cautions }) => cautions.some((said) => says(said, key)))
    expect(has('steps.cautions.label')).toBe(true)
    if (service === 'wheelsOff' && steps.some(({ id }) => id === 'wheelsOff'))
      expect([has('steps.cautions.jack'), has('steps.cautions.torque')]).toEqual([true, true])
  })
})

describe('what a shop prefers', () => {
  const stepsWith = (methods: Partial<Methods>, service: Plan['service'] = 'decontaminate') =>
    makePlan(testJob(fourCorners({ loads }), { service, methods: { ...defaultMethods, ...methods } })).steps
  const firstOf = (steps: readonly Step[], kind: RegExp) =>
    at(steps, ({ stageId, corner }) => corner === 'frontLeft' && kind.test(stageId ?? ''))[0] ?? -1

  it('does the tyre before the wheel, or after it', () => {
    const before = stepsWith({ tyre: 'beforeWheel' })
    const after = stepsWith({ tyre: 'afterWheel' })
    expect(firstOf(before, /^tyre/)).toBeLessThan(firstOf(before, /^wash/))
    expect(firstOf(after, /^tyre/)).toBeGreaterThan(firstOf(after, /^wash/))
  })

  it('rinses once a pass, or after every stage', () => {
    const finishes = Object.fromEntries(
      (['lip', 'face', 'windows', 'barrel', 'cap', 'caliper'] as const).map((zone) => [
        zone,
        { finish: 'paintedGloss' as const, condition: 'sound' as const },
      ]),
    )
    const light = { face: { freshDust: 1 }, tyre: { film: 1 }, arch: { film: 1 } } as const
    const rinses = (passes: Methods['passes']) =>
      makePlan(
        testJob(fourCorners({ loads: light, finishes }), {
          service: 'maintain',
          methods: { ...defaultMethods, passes },
        }),
      ).steps.filter(({ act }) => act === 'rinse').length
    // Arch, tyre, wheel and protection of four wheels.
    expect(rinses('everyStage')).toBe(16)
    expect(rinses('oneRinse')).toBeLessThanOrEqual(12)
  })

  it('does the arch first: it drips on everything below', () => {
    const steps = stepsWith({ arches: 'always' })
    expect(firstOf(steps, /^arch/)).toBeGreaterThan(-1)
    expect(firstOf(steps, /^arch/)).toBeLessThan(firstOf(steps, /^(tyre|wash)/))
  })

  it('washes the body in between, and only then', () => {
    const bodies = (value: Methods['wheelsOrder']) =>
      at(stepsWith({ wheelsOrder: value }), ({ act }) => act === 'body').length
    expect(bodies('between')).toBeGreaterThan(0)
    expect([bodies('first'), bodies('last')]).toEqual([0, 0])
  })

  it('takes wheels off before and refits them after, tightened', () => {
    const steps = stepsWith({}, 'wheelsOff')
    const off = at(steps, ({ id }) => id === 'wheelsOff')[0] ?? -1
    const on = at(steps, ({ id }) => id === 'wheelsOn')[0] ?? -1
    expect(off).toBeGreaterThan(-1)
    expect(on).toBeGreaterThan(Math.max(...at(steps, ({ corner }) => corner !== null)))
    expect(says(steps[on]?.detail, 'steps.afterWheels.refit')).toBe(true)
  })

  it('works without water where that is asked for', () => {
    const steps = stepsWith({}, 'waterless')
    expect(steps.filter(({ act }) => ['preRinse', 'rinse', 'brakes'].includes(act))).toEqual([])
  })
})
