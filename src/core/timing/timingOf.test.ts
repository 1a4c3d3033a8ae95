import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plainConditions } from '@/core/conditions/conditions'
import { allOf, fourCorners, testCorner, testJob } from '@/core/job/testJob'
import { makePlan } from '@/core/planning/makePlan'
import { leastSplit, type ContactWork } from './timingOf'
import { firstGoodHour, hoursAt } from './workHours'

const work: ContactWork = {
  dwellMinSeconds: 60,
  contactSeconds: 190,
  labelMaxSeconds: 300,
  mistSeconds: 12,
  toolChangeSeconds: 4,
  fromFirstDropSeconds: 0,
  spraySeconds: 14,
}

describe('the least split that stays wet', () => {
  it.each([
    ['endless wet, label long enough: the whole wheel', Infinity, {}, { sections: 1, mists: 0 }],
    [
      'a label that is too short for the whole: a half',
      Infinity,
      { labelMaxSeconds: 180 },
      { sections: 2, mists: 0 },
    ],
    ['a short wet limit: mists first, then smaller parts', 215, {}, { sections: 1, mists: 1 }],
    ['shorter than the brush needs for the whole', 170, {}, { sections: 2, mists: 0 }],
    ['shorter still', 110, {}, { sections: 3, mists: 1 }],
  ])('%s', (_, limit, changes, split) => {
    expect(leastSplit({ ...work, ...changes }, limit)).toMatchObject(split)
  })

  it('is none where even a quarter dries', () => {
    expect(leastSplit(work, 30)).toBeNull()
  })

  it('never gets larger parts by drying faster', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 600 }), fc.integer({ min: 1, max: 200 }), (limit, less) => {
        const calm = leastSplit(work, limit + less)
        const dry = leastSplit(work, limit)
        if (dry) expect(calm && calm.sections).toBeLessThanOrEqual(dry.sections)
      }),
    )
  })
})

describe('a plan in the sun', () => {
  const loads = { face: { film: 1, freshDust: 2, bondedDust: 2 } } as const
  const black = (changes: Parameters<typeof plainConditions>[0]) =>
    inEnglish(
      makePlan(
        testJob(fourCorners({ loads, finishes: allOf('glossBlack') }), {
          conditions: plainConditions(changes),
        }),
      ),
    )

  it('works a black wheel in parts, and says at which temperature', () => {
    const plan = black({ airCelsius: 22, exposure: 'partSun', windKilometresPerHour: 12 })
    const parts = plan.timings.filter(({ sections }) => sections > 1)
    expect(parts.length).toBeGreaterThan(0)
    expect(parts.every(({ text }) => /°C \(estimate\)|label allows|^Rinse within/.test(text))).toBe(true)
    expect(plan.steps.some(({ title }) => /upper|barrel and spoke backs/.test(title))).toBe(true)
  })

  it('takes a reading for what it is: cool by the thermometer, whole wheels', () => {
    const hot = {
      airCelsius: 20,
      exposure: 'partSun',
      windKilometresPerHour: 12,
      humidityShare: 0.3,
    } as const
    const measured = black({ ...hot, surfaceCelsius: 20 })
    const estimated = black(hot)
    const worst = (plan: typeof measured) =>
      Math.min(...plan.timings.map(({ wetLimitSeconds }) => wetLimitSeconds ?? Infinity))
    expect(worst(measured)).toBeGreaterThan(worst(estimated))
    expect(measured.timings.every(({ isMeasured }) => isMeasured)).toBe(true)
  })

  it('names foam where it makes fewer parts, and only there', () => {
    const sunny = black({ airCelsius: 22, exposure: 'partSun', windKilometresPerHour: 12 })
    const said = sunny.timings.filter(({ text }) => text.includes('As foam'))
    expect(said.length).toBeGreaterThan(0)
    for (const { sections, mists, isNotNow } of said) expect(sections > 1 || mists > 0 || isNotNow).toBe(true)
    const shaded = black({ airCelsius: 16, exposure: 'shade', windKilometresPerHour: 2 })
    for (const { sections, mists, text } of shaded.timings)
      if (sections === 1 && mists === 0) expect(text).not.toContain('As foam')
  })

  it('says not now, and what would help', () => {
    const plan = black({ airCelsius: 38, exposure: 'fullSun', windKilometresPerHour: 2, humidityShare: 0.1 })
    expect(plan.steps).toEqual([])
    expect(plan.headline).toMatch(/^Not now/)
    expect(plan.shortfalls.map(({ fix }) => fix).join(' ')).toContain('into the shade')
  })
})

describe('liners and tyres', () => {
  const tyres = { tyre: { tyreBrowning: 2 }, arch: { grit: 2 } } as const
  const at = (airCelsius: number) =>
    inEnglish(
      makePlan(
        testJob(fourCorners({ loads: tyres }), {
          conditions: plainConditions({ airCelsius, humidityShare: 0.25, windKilometresPerHour: 15 }),
        }),
      ),
    )
  const rubber = (plan: ReturnType<typeof at>) =>
    plan.timings.filter(({ stageId }) => /^(arch|tyre)/.test(stageId))

  it('are never split, and kept wet with mists where it is hot', () => {
    for (const air of [5, 20, 32, 40])
      for (const { sections, isNotNow } of rubber(at(air))) {
        expect(sections).toBe(1)
        expect(isNotNow).toBe(false)
      }
    expect(rubber(at(40)).some(({ mists }) => mists > 0)).toBe(true)
  })

  it('have as many mists among the steps as the words say', () => {
    for (const air of [5, 20, 32, 40]) {
      const plan = at(air)
      for (const { stageId, corner, mists, text } of rubber(plan)) {
        const sprays = plan.steps.filter(
          (step) => step.stageId === stageId && step.corner === corner && step.act === 'spray',
        ).length
        const misted = plan.steps.filter(
          (step) => step.stageId === stageId && step.corner === corner && step.act === 'reMist',
        ).length
        expect(misted).toBe(mists * sprays)
        // What dries under the brush is misted as one goes: no step of its own.
        if (!text.includes('mist the rest')) expect(/mist/i.test(text)).toBe(mists > 0)
      }
    }
  })
})

describe('the hours of a day', () => {
  const day = Array.from({ length: 24 }, (_, hour) => ({
    hour,
    sun: { elevationDegrees: 60 - Math.abs(hour - 12) * 8, azimuthDegrees: hour * 15 },
    airCelsius: 24,
    humidityShare: 0.4,
    windKilometresPerHour: 8,
    cloudShare: 0,
  }))

  it('find when a side is cool enough again', () => {
    const corner = testCorner('frontRight', { finishes: allOf('glossBlack') })
    const hours = hoursAt(corner, 'trigger', plainConditions({ exposure: 'fullSun', day }), {})
    expect(hours).toHaveLength(24)
    const needed = Math.max(...hours.map(({ wetLimitSeconds }) => wetLimitSeconds ?? 0)) - 1
    const good = firstGoodHour(hours, 9, needed)
    expect(good).not.toBeNull()
    expect(hours[good as number]?.surfaceCelsius).toBeLessThan(hours[9]?.surfaceCelsius as number)
    expect(firstGoodHour(hours, 9, 1_000_000)).toBeNull()
  })
})
