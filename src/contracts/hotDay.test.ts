import { inEnglish } from '@/i18n/testEnglish'
import { describe, expect, it } from 'vitest'
import { makePlan } from '@/core/planning/makePlan'
import { jobFormat, readJob } from './jobFile'

const planAt = (startAt: string) => {
  const read = readJob({
    format: jobFormat,
    service: 'maintain',
    corners: (['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const).map((position) => ({
      position,
      tyreCode: '255/35 R19',
      rimWidthInches: 8.5,
      spokeCount: 10,
      finishes: (['lip', 'face', 'windows', 'barrel'] as const).map((zone) => ({
        zone,
        finish: 'glossBlack',
        condition: 'sound',
      })),
      loads: [
        { zone: 'face', soil: 'film', grade: 2 },
        { zone: 'face', soil: 'freshDust', grade: 2 },
      ],
    })),
    conditions: {
      airCelsius: 38,
      humidityPercent: 30,
      windKilometresPerHour: 8,
      cloudPercent: 0,
      exposure: 'fullSun',
      place: { latitude: 43, longitude: 11 },
      startAt,
      utcOffsetMinutes: 120,
    },
  })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return inEnglish(makePlan(read.value.job))
}

describe('gloss black in full sun at 38 °C', () => {
  it.each([
    ['before noon', '10', ['frontRight', 'rearRight']],
    ['after noon', '16', ['frontLeft', 'rearLeft']],
  ])('%s the sunny side waits, and the plan says until which hour', (_, hour, sunny) => {
    const plan = planAt(`2026-07-01T${hour}:00:00+02:00`)
    const [left] = plan.shortfalls.filter(({ text }) => /far too hot/.test(text))
    expect([...(left?.corners ?? [])].sort()).toEqual(sunny)
    expect(left?.fix).toMatch(/shade, or start after \d\d:00/)
    for (const step of plan.steps.filter(({ startsDwell }) => startsDwell)) {
      expect(sunny).not.toContain(step.corner)
      if (step.act === 'spray') expect(step.cautions.join(' ')).toContain('Measure before you start')
    }
  })
})
