import { plainConditions } from '@/core/conditions/conditions'
import { describe, expect, it } from 'vitest'
import { makePlan } from '@/core/planning/makePlan'
import type { Plan } from '@/core/plan/plan'
import type { Corner, Job } from '@/core/job/job'
import {
  defaultSchools,
  schoolNames,
  schoolText,
  schoolTexts,
  type SchoolName,
  type Schools,
} from './schools'
import { allOf, fourCorners, testJob } from '@/core/job/testJob'

const dirty: Corner['loads'] = {
  face: { film: 3, bondedDust: 3, freshDust: 3 },
  barrel: { film: 3, bondedDust: 3, freshDust: 4 },
  tyre: { tyreBrowning: 2 },
}
const families = (plan: Plan) => plan.stages.map(({ family }) => family)
const kinds = (plan: Plan) => plan.stages.map(({ kind }) => kind)
const texts = (plan: Plan) => plan.steps.map(({ title, detail }) => `${title} ${detail}`).join('\n')
const acts = (plan: Plan) => plan.steps.map(({ act }) => act)

interface Case {
  readonly name: SchoolName
  /** The setting other than the default. */
  readonly value: Schools[SchoolName]
  readonly job?: Partial<Job>
  readonly corner?: Partial<Corner>
  /** What shows in the plan that the setting was followed; asked of both. */
  readonly shows: (plan: Plan) => unknown
}

const cases: readonly Case[] = [
  { name: 'wheelsOrder', value: 'last', shows: (plan) => /body is washed first/.test(texts(plan)) },
  { name: 'rinseFirst', value: 'always', corner: { loads: { face: { film: 3 } } }, shows: (plan) => acts(plan).includes('preRinse') },
  { name: 'rinseFirst', value: 'never', corner: { loads: { face: { film: 3, grit: 2 } } }, shows: (plan) => acts(plan).includes('preRinse') },
  { name: 'ironOn', value: 'dirty', corner: { loads: { barrel: { bondedDust: 3 } } }, shows: (plan) => kinds(plan).indexOf('iron') < kinds(plan).indexOf('wash') },
  { name: 'acidOnLacquer', value: true, shows: (plan) => plan.verdicts.find(({ productId }) => productId === 'acidCleaner')?.verdict },
  { name: 'wheelAndTyre', value: 'one', shows: (plan) => plan.stages.find(({ kind }) => kind === 'tyre')?.family },
  { name: 'maintenance', value: 'cleaner', job: { service: 'maintain' }, corner: { loads: { face: { freshDust: 1 } }, protection: ['spraySealant'] }, shows: (plan) => families(plan).includes('maintenanceCleaner') },
  { name: 'tyre', value: 'afterWheel', shows: (plan) => kinds(plan).indexOf('tyre') < kinds(plan).indexOf('wash') },
  { name: 'toolRinse', value: 'runningWater', shows: (plan) => /under running water/.test(texts(plan)) },
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

const planFor = ({ job = {}, corner = {} }: Case, schools: Schools) =>
  makePlan(testJob(fourCorners({ loads: dirty, ...corner }), { ...job, schools }))

describe('shop schools', () => {
  it.each(cases.map((one) => [`${one.name}: ${String(one.value)}`, one] as const))(
    'the plan follows %s',
    (_, one) => {
      const asDefault = planFor(one, defaultSchools)
      const otherwise = planFor(one, { ...defaultSchools, [one.name]: one.value })
      expect(one.shows(otherwise)).not.toEqual(one.shows(asDefault))
    },
  )

  it('every school has its default first, a reason, and at least two choices', () => {
    for (const name of schoolNames) {
      const { choices, reason } = schoolTexts[name]
      expect([name, choices.length >= 2, reason.length > 15]).toEqual([name, true, true])
      expect(choices[0]?.value).toEqual(defaultSchools[name])
    }
  })

  it('the plan names the settings that decided', () => {
    const plan = makePlan(testJob(fourCorners({ loads: dirty })))
    expect(plan.schools).toContain(schoolText('dressing', defaultSchools))
    expect(plan.schools).toContain(schoolText('tyre', defaultSchools))
    const coated = makePlan(
      testJob(fourCorners({ loads: { face: { freshDust: 1 } }, protection: ['ceramicCoating'] }), {
        service: 'coatedMaintenance',
      }),
    )
    expect(coated.schools.join()).toContain('Maintenance wash on live protection')
  })

  it('no school reaches bare metal, brakes or people', () => {
    const open: Schools = { ...defaultSchools, acidOnLacquer: true, ironOn: 'dirty', directSun: 'bySection' }
    const plan = makePlan(
      testJob(fourCorners({ loads: dirty, finishes: allOf('polishedBare') }), { schools: open }),
    )
    const verdict = (id: string) => plan.verdicts.find(({ productId }) => productId === id)?.verdict
    expect(verdict('acidCleaner')).toBe('no')
    expect(verdict('alkalineFoam')).toBe('no')
    expect(verdict('discInhibitor')).toBe('no')
  })
})
