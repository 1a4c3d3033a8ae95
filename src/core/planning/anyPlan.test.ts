import { inEnglish, sayInEnglish } from '@/i18n/testEnglish'
import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { roleOf } from '@/core/choice/role'
import { familyOf } from '@/core/chemistry/families'
import { ratingOf } from '@/core/chemistry/product'
import { anySituation, jobOf, type Situation } from '@/core/job/testAnyJob'
import type { Job } from '@/core/job/job'
import { fourCorners, testJob } from '@/core/job/testJob'
import { planInOrder } from '@/core/order/orderPlan'
import { planProblem } from '@/core/order/planProblem'
import { takesOff, type Plan } from '@/core/plan/plan'
import { protectionFacts } from '@/core/protection/kinds'
import { zoneReach } from '@/core/reachability/zoneReach'
import { cleansWheel } from '@/core/acts/stageKind'
import { axleOf } from '@/core/wheel/position'
import { headlineOf, maxHeadlineCharacters } from '@/core/reasons/headline'
import { planOnce } from './testPlans'
import { times } from '@/core/job/testLong'

const holds = (name: string, check: (plan: Plan, job: Job) => void, numRuns = 80 * times) =>
  it(
    name,
    () =>
      fc.assert(
        fc.property(anySituation.map(jobOf), (job) => check(planOnce(job), job)),
        { numRuns },
      ),
    60_000 * times,
  )
const unreached = [
  'reasons.shortfall.without',
  'reasons.shortfall.withoutTowel',
  'reasons.shortfall.notAll',
  'reasons.shortfall.oneWash',
]
const tooHot = [
  'reasons.timing.tooDry',
  'reasons.now.notCooling',
  'ruleBook.hotSurface',
  'ruleBook.hotByReckoning',
  'ruleBook.frost',
]
const notNow = [
  'reasons.headline.notNow',
  'reasons.headline.notNowFor',
  'reasons.headline.notLikeThis',
  'reasons.headline.nothingToDo',
  'reasons.headline.nothingToDoBecause',
]
const wheelStages = ({ stages }: Plan) => stages.filter(({ kind }) => cleansWheel(kind))
const isWash = ({ family }: Plan['stages'][number]): boolean => roleOf(family) === 'wash'

describe('the plan of any job', () => {
  holds('washes once: no wash three times, no two washes of one wheel', (plan, { corners, methods }) => {
    for (const stage of wheelStages(plan)) expect(stage.rounds).toBeLessThanOrEqual(2)
    for (const { position } of corners) {
      const washes = wheelStages(plan).filter((stage) => stage.corners.includes(position) && isWash(stage))
      // A shop that foams over its cleaner does so in the same pass.
      const foams = methods.overFoaming && washes.at(-1)?.family === 'alkalineFoam'
      expect(washes.length).toBeLessThanOrEqual(foams ? 2 : 1)
      expect(washes.filter(({ delivery }) => delivery === 'bucket').length).toBeLessThanOrEqual(1)
    }
  })

  holds('has one recipe an axle', (plan) => {
    for (const stage of wheelStages(plan).filter(isWash))
      for (const axle of ['front', 'rear'] as const) {
        const there = wheelStages(plan)
          .flatMap(({ corners }) => corners)
          .filter((corner) => axleOf(corner) === axle)
        const mine = stage.corners.filter((corner) => axleOf(corner) === axle)
        expect([0, new Set(there).size]).toContain(mine.length)
      }
  })

  holds('says products, time and people in one line; with the minutes of more rounds too', (plan, job) => {
    if (!plan.stages.some(({ kind }) => cleansWheel(kind))) return
    const { stages, operatorSeconds } = plan
    const longest = sayInEnglish(
      headlineOf({ ...job, crew: { people: 2 } }, stages, operatorSeconds, 6_600, 1_200),
    )
    for (const headline of [sayInEnglish(plan.headline), longest]) {
      expect(headline).toMatch(/^[^;]+\. About [^;]+, (one person|two people)\.$/)
      expect(headline.length).toBeLessThanOrEqual(maxHeadlineCharacters)
    }
    expect(longest).toContain('1 h 50 min to 2 h 10 min')
  })

  holds('looks again before it protects, and protects nothing that was not cleaned', (plan) => {
    const { steps, protections } = plan
    for (const step of steps.filter(({ act }) => act === 'protect')) {
      const own = steps.filter(({ corner }) => corner === step.corner)
      expect(own.findIndex(({ act }) => act === 'lookAgain')).toBeGreaterThanOrEqual(0)
      expect(own.findIndex(({ act }) => act === 'lookAgain')).toBeLessThan(own.indexOf(step))
    }
    for (const { corner } of protections)
      expect(wheelStages(plan).some(({ corners }) => corners.includes(corner))).toBe(true)
  })

  holds('brings nothing wet near a wheel that cures', ({ steps, stages, shortfalls }, { corners }) => {
    for (const { position } of corners.filter(({ curing }) => curing)) {
      expect(steps.filter(({ corner }) => corner === position)).toEqual([])
      expect(stages.filter(({ corners: at }) => at.includes(position))).toEqual([])
      expect(shortfalls.some((one) => one.corners.includes(position))).toBe(true)
    }
  })

  holds(
    'works nothing that is too hot, freezes or would dry: no steps there, and what would help',
    (plan) => {
      const { steps, timings, shortfalls, headline } = plan
      expect(timings.filter(({ isNotNow }) => isNotNow)).toEqual([])
      for (const one of shortfalls.filter(({ text }) => tooHot.some((key) => says(text, key))))
        for (const position of one.corners)
          expect(steps.filter(({ corner }) => corner === position)).toEqual([])
      if (notNow.some((key) => says(headline, key))) expect(steps).toEqual([])
    },
  )

  holds('says with every refusal what is wrong and what would fix it', ({ shortfalls }) => {
    for (const { text, fix, corners } of inEnglish(shortfalls)) {
      expect(text.length).toBeGreaterThan(15)
      expect(fix.length).toBeGreaterThan(10)
      expect(corners.length).toBeGreaterThan(0)
    }
  })

  holds('works no zone that is not there, not described or out of reach', ({ steps }, job) => {
    for (const { corner: position, zones, act } of steps) {
      const corner = job.corners.find((one) => one.position === position)
      if (!corner || act === 'preRinse') continue
      for (const zone of zones) expect([zone, zoneReach(zone, corner, job).state]).toEqual([zone, 'here'])
    }
  })

  holds(
    'strips nothing off live protection for light or clear dirt',
    (plan, { corners, methods, service }) => {
      const worst = Math.max(
        ...corners.flatMap(({ loads }) =>
          (['face', 'barrel', 'lip'] as const).flatMap((zone) =>
            (['film', 'freshDust', 'bondedDust', 'mineral'] as const).map((soil) => loads[zone]?.[soil] ?? 0),
          ),
        ),
      )
      const coats = service === 'restore' || service === 'wheelsOff'
      if (
        worst > 2 ||
        corners.some(({ protection }) => protection.length === 0) ||
        methods.overFoaming ||
        coats
      )
        return
      for (const { family, kind } of wheelStages(plan)) {
        const facts = familyOf(family)
        if (kind !== 'tar' && facts.purpose === 'clean') expect(facts.wear).not.toBe('strips')
      }
    },
  )

  holds('keeps solvent and iron remover for what they are for', (plan, { corners, service }) => {
    const worst = (soil: 'tar' | 'bondedDust') =>
      Math.max(...corners.map(({ loads }) => Math.max(loads.face?.[soil] ?? 0, loads.barrel?.[soil] ?? 0)))
    for (const { family } of wheelStages(plan)) {
      if (roleOf(family) === 'tar') expect(worst('tar')).toBeGreaterThan(0)
      if (roleOf(family) === 'iron' || family === 'ironTarRemover')
        expect(worst('bondedDust')).toBeGreaterThan(0)
    }
    // After the wash, on a dried wheel.
    for (const { position } of corners) {
      const roles = wheelStages(plan)
        .filter((stage) => stage.corners.includes(position))
        .map(({ family }) => roleOf(family))
      if (roles.includes('tar') && service !== 'waterless') expect(roles.indexOf('tar')).toBeGreaterThan(0)
    }
  })

  holds('adds up in money, and what is filled once is paid once', (plan) => {
    const sum = (list: readonly { readonly costMinor: number }[]) =>
      list.reduce((all, { costMinor }) => all + costMinor, 0)
    expect(plan.costMinor).toBe(sum(plan.stages))
    expect(plan.costMinor).toBe(sum(plan.amounts))
    expect(plan.fills.flatMap(({ stageIds }) => stageIds).sort()).toEqual(
      plan.stages.map(({ id }) => id).sort(),
    )
    const buckets = plan.fills.filter(({ container }) => container === 'bucket')
    expect(
      new Set(buckets.map(({ productName, recipe }) => `${productName} ${recipe.realFraction}`)).size,
    ).toBe(buckets.length)
  })

  holds('stays with its amounts between what good hands need', (plan, job) => {
    const most: Partial<Record<string, number>> = {
      tyre: 25,
      arch: 40,
      wash: 90,
      iron: 90,
      tar: 90,
      dress: 15,
      protect: 40,
    }
    for (const { kind, delivery, corners, rounds, recipe, family } of plan.stages) {
      const limit = family === 'ceramicCoating' ? 6 : most[kind]
      if (limit === undefined || delivery === 'bucket') continue
      // A small amount is rounded up to what can be measured.
      const rounding =
        recipe.realFraction === 1
          ? 1
          : Math.max(50, job.equipment.smallestMeasureMillilitres / recipe.realFraction)
      expect(recipe.totalMillilitres).toBeLessThanOrEqual(limit * corners.length * rounds + rounding)
    }
  })

  holds(
    'dresses and wipes on only what is dry: not in the rain, not in damp, and never a motorcycle’s tyre',
    (plan, job) => {
      const wiped = plan.protections.filter(({ productId }) => {
        const product = job.cabinet.find(({ id }) => id === productId)
        const family = product && familyOf(product.family)
        return family?.purpose === 'protect' && !family.onWet
      })
      if (job.conditions.raining || job.conditions.humidityShare > 0.95) expect(wiped).toEqual([])
      const onTyres = plan.protections.filter(({ kind }) => protectionFacts[kind].on === 'tyre')
      if (job.vehicleKind === 'motorcycle') expect(onTyres).toEqual([])
    },
  )

  holds(
    'guides no hose without water, drives nothing that has no engine and lifts nothing that is loose',
    (plan, job) => {
      const acts = plan.steps.map(({ act }) => act)
      const words = inEnglish(plan.steps)
        .map(({ title, detail, cautions }) => `${title} ${detail} ${cautions.join(' ')}`)
        .join('\n')
      if (job.service === 'waterless') expect(words).not.toMatch(/lance|hose|rinse/i)
      if (job.vehicleKind === 'trailer' || job.vehicleKind === 'looseSet')
        expect(acts.filter((act) => act === 'brakes' || act === 'roll')).toEqual([])
      if (job.vehicleKind === 'looseSet')
        expect(words.match(/.*(jack|torque|caliper|arch,).*/i)?.[0]).toBeUndefined()
    },
  )

  it(
    'holds label and film from the last fresh spray to the rinse, in the order it is worked',
    () => {
      fc.assert(
        fc.property(anySituation.map(jobOf), (job) => {
          const plan = planInOrder({ ...job, crew: { people: 1 } }, 2_000)
          const at = new Map(plan.sequence?.entries.map((entry) => [entry.stepId, entry]))
          const { problem, steps } = planProblem(job, plan)
          const place = new Map(steps.map(({ id }, index) => [id, index]))
          for (const lag of problem.lags.filter(
            ({ why, maxSeconds }) => why === 'label' && maxSeconds !== null,
          )) {
            const [from, to] = [steps[lag.from], steps[lag.to]]
            const [start, end] = [from && at.get(from.id), to && at.get(to.id)]
            if (!start || !end || !from?.startsDwell) continue
            expect(end.startSeconds - start.endSeconds).toBeLessThanOrEqual(lag.maxSeconds as number)
            // The label is only passed where one wheel alone takes longer in the least part hands can do.
            if ((lag.maxSeconds as number) > from.startsDwell.maxSeconds)
              expect(from.part?.of ?? 4).toBeGreaterThanOrEqual(1)
          }
          expect(place.size).toBe(steps.length)
          for (const step of plan.steps.filter(({ startsDwell }) => startsDwell))
            expect(
              plan.steps.some((other) => other.corner === step.corner && takesOff(other, step.stageId)),
            ).toBe(true)
        }),
        { numRuns: 25 * times },
      )
    },
    60_000 * times,
  )

  it(
    'leads with one grade more dirt never to a milder cleaner',
    () => {
      fc.assert(
        fc.property(anySituation, fc.constantFrom('film', 'dust'), (one, what) => {
          const soil = what === 'film' ? ('film' as const) : ('freshDust' as const)
          if (one[what as 'film' | 'dust'] > 3) return
          const dirtier = { ...one, [what]: one[what as 'film' | 'dust'] + 1 }
          const ratingIn = (situation: Situation) => {
            const job = jobOf({ ...situation, prefer: 'gentlest' })
            const plan = planOnce(job)
            // Where not everything can be reached, what can be done for the rest decides.
            if (plan.shortfalls.some(({ text }) => unreached.some((key) => says(text, key)))) return undefined
            const ratings = wheelStages(plan).map(({ productId, rounds }) => {
              const product = job.cabinet.find(({ id }) => id === productId)
              return { rating: product ? ratingOf(product, soil) : 0, rounds }
            })
            return ratings.length === 0
              ? undefined
              : {
                  sum: ratings.reduce((sum, { rating, rounds }) => sum + rating * rounds, 0),
                  best: Math.max(...ratings.map(({ rating }) => rating)),
                }
          }
          const [before, after] = [ratingIn(one), ratingIn(dirtier)]
          // A stronger one once, or a mild one twice, as delicate finishes get it.
          if (before !== undefined && after !== undefined)
            expect([before, after, after.best >= before.best || after.sum >= before.sum]).toEqual([
              before,
              after,
              true,
            ])
        }),
        { numRuns: 120 * times },
      )
    },
    60_000 * times,
  )

  it(
    'takes two people less time than one, wherever there are two wheels to share',
    () => {
      fc.assert(
        fc.property(anySituation, (one) => {
          const job = { ...jobOf(one), estimates: {} }
          const [alone, both] = [1, 2].map(
            (people) => planInOrder({ ...job, crew: { people } }, 8_000).sequence?.endSeconds,
          )
          if (alone !== undefined && both !== undefined) expect(both).toBeLessThan(alone)
        }),
        { numRuns: 10 },
      )
    },
    60_000 * times,
  )

  it('for every wheel that cures is nothing to do', () => {
    const job = testJob(fourCorners({ curing: true, loads: { face: { film: 2 } } }))
    const plan = planInOrder(job)
    expect([plan.steps, plan.stages, plan.protections]).toEqual([[], [], []])
    expect(says(plan.headline, 'reasons.headline.nothingToDoBecause')).toBe(true)
  })
})
