import { inEnglish } from '@/i18n/testEnglish'
import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { familyOf, type FamilyId } from '@/core/chemistry/families'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { plainConditions } from '@/core/conditions/conditions'
import type { Job } from '@/core/job/job'
import { allOf, fourCorners, testJob } from '@/core/job/testJob'
import { anyPoorJob, anySituation, jobOf } from '@/core/job/testAnyJob'
import type { Shortfall } from '@/core/plan/plan'
import { starterTools } from '@/core/tools/starterTools'
import type { ToolKind } from '@/core/tools/tool'
import { makePlan } from './makePlan'
import { planOnce } from './testPlans'
import { times } from '@/core/job/testLong'

const mild = (job: Job): Job => ({ ...job, conditions: plainConditions() })
const clean = (job: Job): Job => ({
  ...job,
  corners: job.corners.map((corner) => ({ ...corner, loads: { face: { freshDust: 1 } } })),
})
const wholeKit = (job: Job): Job => ({ ...job, tools: starterTools })
const wholeCabinet = (job: Job): Job => ({ ...job, cabinet: starterCabinet })
/** The usual kit, and soft tools that squeeze through the narrowest gap. */
const thinKit = (job: Job): Job => ({
  ...job,
  tools: [
    ...starterTools,
    ...(['barrelWand', 'longBrush', 'detailBrush'] as const).map((kind: ToolKind) => ({
      id: `thin-${kind}`,
      name: `thin ${kind}`,
      kind,
      stiffness: 'soft' as const,
      diameterMillimetres: 10,
      squeezedMillimetres: 3,
      reachMillimetres: 400,
      state: 'clean' as const,
      dedicatedTo: 'wheel' as const,
    })),
  ],
})

/** What a refusal names as its cause, and the job without that cause. */
const causes: readonly (readonly [keys: readonly string[], without: (job: Job) => Job])[] = [
  [['ruleBook.hotByReckoning', 'ruleBook.frost', 'reasons.timing.tooDry'], mild],
  [['ruleBook.coatingInTheCold', 'ruleBook.coatingInHeat', 'ruleBook.coatingInDamp'], mild],
  [['ruleBook.sealantInTheCold', 'ruleBook.sealantInDamp'], mild],
  [['ruleBook.dressingInTheCold', 'ruleBook.dressingInDamp'], mild],
  [['ruleBook.dryWorkInRain', 'ruleBook.solventInRain'], mild],
  [['reasons.stays.soilOne', 'reasons.stays.soilMany'], (job) => ({ ...job, service: 'decontaminate' })],
  [['reasons.stays.tooMuchForQuick'], (job) => ({ ...job, service: 'maintain' })],
  [['reasons.stays.bareForQuick'], (job) => ({
    ...job,
    corners: job.corners.map((corner) => ({ ...corner, protection: ['wheelWax'] })),
  })],
  [['reasons.now.cures'], (job) => ({ ...job, corners: job.corners.map((corner) => ({ ...corner, curing: false })) })],
  [['reasons.shortfall.noTool', 'reasons.shortfall.noToolSprayed', 'reasons.shortfall.noToolSoaked'], thinKit],
  [[
    'reasons.notToday.noTowel', 'reasons.notToday.noTyreApplicator', 'reasons.notToday.noWheelApplicator', 'reasons.notToday.nothingDries',
    'reasons.stays.drySpots', 'reasons.stays.dullNoTowel', 'reasons.shortfall.noTowelWaterless', 'reasons.shortfall.withoutTowel',
    'reasons.pin.noTowelOnOff', 'reasons.pin.noApplicator', 'reasons.pin.noTowelDry',
  ], wholeKit],
  [['reasons.shortfall.noneRated', 'reasons.stays.dullNoPolish', 'reasons.shortfall.addCleaner'], wholeCabinet],
  [['ruleBook.acidOnLacquer'], (job) => ({ ...job, methods: { ...job.methods, acidOnLacquer: true } })],
  [['reasons.notToday.sealsIn'], clean],
  [['reasons.shortfall.planWater'], (job) => ({ ...job, service: 'maintain' })],
] // prettier-ignore

const isAbout = ({ text, fix }: Shortfall, keys: readonly string[]): boolean =>
  keys.some((key) => says(text, key) || says(fix, key))
const said = ({ text, fix }: Shortfall): string => JSON.stringify([text, fix])

describe('a refusal', () => {
  it(
    'goes when the cause it names goes',
    () =>
      fc.assert(
        fc.property(anyPoorJob, (job) => {
          const refusals = planOnce(job).shortfalls
          for (const [cause, without] of causes) {
            const refused = refusals.filter((one) => isAbout(one, cause)).map(said)
            if (refused.length === 0) continue
            const after = makePlan(without(job)).shortfalls.map(said)
            expect(refused.filter((text) => after.includes(text))).toEqual([])
          }
        }),
        { numRuns: 60 * times },
      ),
    90_000 * times,
  )

  it(
    'names a way on',
    () =>
      fc.assert(
        fc.property(anyPoorJob, (job) => {
          for (const { text, fix } of inEnglish(planOnce(job).shortfalls))
            expect(`${text} > ${fix}`).toMatch(
              /> .*\b(add|plan|come back|move|leave|look|wash|measure|allow|due|choose|work|clean the one|instead|reach|restoration|another day|second visit|wheel off)\b/i,
            )
        }),
        { numRuns: 60 * times },
      ),
    90_000 * times,
  )
})

it(
  'what the person ruled out is never put down to the cabinet: rubber is told what was ruled out',
  () =>
    fc.assert(
      fc.property(anySituation, (situation) => {
        const free = jobOf(situation)
        const cleansRubber = (id: FamilyId): boolean => {
          const family = familyOf(id)
          return family.purpose === 'clean' && family.surfaces.some((surface) => surface !== 'wheel')
        }
        const forbidden = free.cabinet.filter(({ family }) => cleansRubber(family)).map(({ id }) => id)
        const job = { ...free, wishes: { ...free.wishes, forbidden } }
        const worked = (of: Job) => makePlan(of).stages.map(({ kind }) => kind)
        const before = worked(free)
        const texts = planOnce(job).shortfalls.map(({ text }) => text)
        for (const surface of ['arch', 'tyre'] as const) {
          if (!before.includes(surface)) continue
          const blamed = texts.filter(
            (text) =>
              says(text, 'reasons.shortfall.rubber.nothing') ||
              says(text, 'reasons.shortfall.rubber.nothingFor'),
          )
          expect([surface, blamed]).toEqual([surface, []])
        }
      }),
      { numRuns: 60 * times },
    ),
  60_000 * times,
)

it('protection and polish that the person ruled out are named, not the cabinet', () => {
  const polished = { finish: 'polishedBare', condition: 'sound' } as const
  const free = testJob(
    fourCorners({ finishes: { ...allOf('paintedGloss'), lip: polished }, loads: { face: { film: 1 } } }),
    { service: 'restore' },
  )
  const forbidden = free.cabinet
    .filter(({ family }) => familyOf(family).purpose === 'protect' || family === 'metalPolish')
    .map(({ id }) => id)
  const { shortfalls } = makePlan({ ...free, wishes: { ...free.wishes, forbidden } })
  const has = (key: string): boolean => shortfalls.some(({ text }) => says(text, `reasons.stays.${key}`))
  expect([has('ruledOutProtects'), has('dullRuledOut')]).toEqual([true, true])
  expect([has('nothingProtects'), has('dullNoPolish')]).toEqual([false, false])
})
