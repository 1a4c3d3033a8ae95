import { inEnglish } from '@/i18n/testEnglish'
import { says } from '@/core/message/testSays'
import { plainConditions } from '@/core/conditions/conditions'
import { describe, expect, it } from 'vitest'
import { makePlan } from '@/core/planning/makePlan'
import type { Plan } from '@/core/plan/plan'
import type { Corner, Job } from '@/core/job/job'
import {
  defaultMethods,
  methodNames,
  sayMethod,
  methodChoices,
  type MethodName,
  type Methods,
} from './methods'
import { allOf, fourCorners, testJob } from '@/core/job/testJob'

const dirty: Corner['loads'] = {
  face: { film: 3, bondedDust: 3, freshDust: 3 },
  barrel: { film: 3, bondedDust: 3, freshDust: 4 },
  tyre: { tyreBrowning: 2 },
}
const families = (plan: Plan) => plan.stages.map(({ family }) => family)
const kinds = (plan: Plan) => plan.stages.map(({ kind }) => kind)
/** Whether a step says something. */
const isSaid = (plan: Plan, key: string) => plan.steps.some(({ detail }) => says(detail, key))
const acts = (plan: Plan) => plan.steps.map(({ act }) => act)

interface Case {
  readonly name: MethodName
  /** The setting other than the default. */
  readonly value: Methods[MethodName]
  readonly job?: Partial<Job>
  readonly corner?: Partial<Corner>
  /** What shows in the plan that the setting was followed; asked of both. */
  readonly shows: (plan: Plan) => unknown
}

const cases: readonly Case[] = [
  { name: 'wheelsOrder', value: 'last', shows: (plan) => isSaid(plan, 'steps.beforeWheels.getReady.body.last') },
  { name: 'rinseFirst', value: 'always', corner: { loads: { face: { film: 3 } } }, shows: (plan) => acts(plan).includes('preRinse') },
  { name: 'rinseFirst', value: 'never', corner: { loads: { face: { film: 3, grit: 2 } } }, shows: (plan) => acts(plan).includes('preRinse') },
  { name: 'ironOn', value: 'dirty', corner: { loads: { barrel: { bondedDust: 3 } } }, shows: (plan) => kinds(plan).indexOf('iron') < kinds(plan).indexOf('wash') },
  { name: 'acidOnLacquer', value: true, shows: (plan) => plan.verdicts.find(({ productId }) => productId === 'acidCleaner')?.verdict },
  { name: 'wheelAndTyre', value: 'one', shows: (plan) => plan.stages.find(({ kind }) => kind === 'tyre')?.family },
  { name: 'maintenance', value: 'cleaner', job: { service: 'maintain' }, corner: { loads: { face: { freshDust: 1 } }, protection: ['spraySealant'] }, shows: (plan) => families(plan).includes('maintenanceCleaner') },
  { name: 'tyre', value: 'afterWheel', shows: (plan) => kinds(plan).indexOf('tyre') < kinds(plan).indexOf('wash') },
  { name: 'toolRinse', value: 'runningWater', shows: (plan) => ['running', 'runningBeforeFace', 'runningBeforeFront'].some((key) => isSaid(plan, `steps.rinseTool.${key}`)) },
  { name: 'face', value: 'brush', shows: (plan) => plan.stages.find(({ kind }) => kind === 'wash')?.tools.find(({ zones }) => zones.includes('face'))?.tool },
  { name: 'overFoaming', value: true, shows: (plan) => families(plan).includes('alkalineFoam') },
  { name: 'directSun', value: 'never', job: { conditions: plainConditions({ airCelsius: 20, surfaceCelsius: 20, exposure: 'fullSun' }) }, shows: (plan) => kinds(plan).includes('wash') },
  { name: 'arches', value: 'whereSoiled', shows: (plan) => kinds(plan).includes('arch') },
  { name: 'drying', value: 'towel', shows: (plan) => plan.steps.find(({ act }) => act === 'dry')?.tools },
  { name: 'drying', value: 'leaveWet', job: { service: 'quickRound' }, shows: (plan) => plan.steps.some(({ act, stageId }) => act === 'dry' && stageId === null) },
  { name: 'dressing', value: 'solvent', shows: (plan) => plan.stages.find(({ kind }) => kind === 'dress')?.family },
  { name: 'protection', value: 'wipeOn', shows: (plan) => plan.stages.find(({ kind }) => kind === 'protect')?.family },
  { name: 'protection', value: 'coating', shows: (plan) => plan.stages.find(({ kind }) => kind === 'protect')?.family },
] // prettier-ignore

const planFor = ({ job = {}, corner = {} }: Case, methods: Methods) =>
  makePlan(testJob(fourCorners({ loads: dirty, ...corner }), { ...job, methods }))

describe('the methods of a shop', () => {
  it.each(cases.map((one) => [`${one.name}: ${String(one.value)}`, one] as const))(
    'the plan follows %s',
    (_, one) => {
      const asDefault = planFor(one, defaultMethods)
      const otherwise = planFor(one, { ...defaultMethods, [one.name]: one.value })
      expect(one.shows(otherwise)).not.toEqual(one.shows(asDefault))
    },
  )

  it('every method has its default first, and at least two choices', () => {
    for (const name of methodNames) {
      const [first, ...others] = methodChoices[name]
      expect([name, others.length > 0]).toEqual([name, true])
      expect(first).toEqual(defaultMethods[name])
    }
  })

  it('the plan names the settings that decided', () => {
    const plan = makePlan(testJob(fourCorners({ loads: dirty })))
    expect(plan.methods).toContainEqual(sayMethod('dressing', defaultMethods))
    expect(plan.methods).toContainEqual(sayMethod('tyre', defaultMethods))
    const coated = makePlan(
      testJob(fourCorners({ loads: { face: { freshDust: 1 } }, protection: ['ceramicCoating'] }), {
        service: 'coatedMaintenance',
      }),
    )
    expect(coated.methods.some((said) => says(said, 'methods.maintenance.question'))).toBe(true)
  })

  it('no method reaches bare metal, brakes or people', () => {
    const open: Methods = { ...defaultMethods, acidOnLacquer: true, ironOn: 'dirty', directSun: 'bySection' }
    const plan = inEnglish(
      makePlan(testJob(fourCorners({ loads: dirty, finishes: allOf('polishedBare') }), { methods: open })),
    )
    const verdict = (id: string) => plan.verdicts.find(({ productId }) => productId === id)?.verdict
    expect(verdict('acidCleaner')).toBe('no')
    expect(verdict('alkalineFoam')).toBe('no')
    expect(verdict('discInhibitor')).toBe('no')
  })
})
