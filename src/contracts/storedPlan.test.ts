import { inEnglish, sayInEnglish } from '@/i18n/testEnglish'
import { withTexts, withoutTexts } from './saidText'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { planInOrder } from '@/core/order/orderPlan'
import { readJobText } from './jobFile'
import { writePlan } from './planFile'
import { readStoredJob } from './storedJob'
import { readStoredPlan } from './storedPlan'

const read = readJobText(readFileSync('docs/examples/winter-neglected.job.json', 'utf8'))
if (!read.ok) throw new Error('bad example')
const { file, job } = read.value
const plan = writePlan(planInOrder(job))
const stored: unknown = JSON.parse(JSON.stringify(plan))

/** Without what later versions added. */
function without(value: object, keys: readonly string[]): object {
  return Object.fromEntries(Object.entries(value).filter(([key]) => !keys.includes(key)))
}

describe('a plan that is stored', () => {
  it('carries nothing that JSON would lose, and comes back as it went', () => {
    expect(stored).toEqual(plan)
    expect(readStoredPlan(stored)).toEqual(plan)
  })

  it('opens as the first version wrote it: no choice, no order, no film that dries', () => {
    const first = {
      ...without(plan, [
        'service', 'chosen', 'alternatives', 'fills', 'soil', 'verdicts', 'wouldChange', 'ladder', 'testSpot', 'methods',
        'assumptions', 'timings', 'sequence',
      ]), // prettier-ignore
      stages: plan.stages.map((stage) => without(stage, ['tools', 'rules', 'protectionLostShare'])),
      steps: plan.steps.map((step) => without(step, ['wetLimitSeconds', 'part', 'asks'])),
    }
    const opened = readStoredPlan(first)
    expect(opened).toMatchObject({ service: 'maintain', alternatives: [], timings: [], sequence: null })
    expect(opened.steps.every(({ wetLimitSeconds, part }) => wetLimitSeconds === null && part === null)).toBe(
      true,
    )
    expect(opened.stages.map(({ id, productName }) => [id, productName])).toEqual(
      plan.stages.map(({ id, productName }) => [id, productName]),
    )
  })

  it('of a version that stored sentences says them as they are', () => {
    const sentences = inEnglish(plan)
    const opened = readStoredPlan({ ...sentences, format: 'even-spoke/plan/1' })
    expect(opened).toEqual(sentences)
    expect(inEnglish(opened).headline).toBe(sentences.headline)
  })

  it.each(['even-spoke/plan/1', 'even-spoke/plan/2'])(
    'of %s keeps what would fix a shortfall, and the methods',
    (format) => {
      const { fix, ...rest } = { corners: [], text: 'The cabinet is empty.', fix: 'Add products.' }
      const { methods: _, ...earlier } = plan
      const schools = ['Tyre before or after the wheel: before']
      const opened = readStoredPlan({ ...earlier, format, schools, shortfalls: [{ ...rest, mend: fix }] })
      expect(opened.shortfalls).toEqual([{ ...rest, fix }])
      expect(opened.methods).toEqual(schools)
    },
  )

  it('says a message of another version by the text that was stored with it', () => {
    const stranger = { key: 'steps.gone', values: {}, text: 'Rinse the wheel.' }
    const opened = readStoredPlan({ ...withTexts(plan, sayInEnglish), headline: stranger })
    expect(inEnglish(opened).headline).toBe('Rinse the wheel.')
    expect(inEnglish(opened).steps).toEqual(inEnglish(plan).steps)
  })

  it('carries no texts to a page that can say its messages', () => {
    const said = withTexts(plan, sayInEnglish)
    expect(said).not.toEqual(plan)
    expect(withoutTexts(said, () => true)).toEqual(plan)
    expect(withoutTexts(said, () => false)).toEqual(said)
  })

  it('is not guessed at where it is none', () => {
    for (const none of [
      null,
      'plan',
      {},
      { ...plan, format: 'even-spoke/plan/4' },
      { ...plan, steps: 'many' },
    ])
      expect(() => readStoredPlan(none)).toThrow()
  })
})

describe('a job that is stored', () => {
  it('comes back as it went, and has today’s defaults for what an earlier version did not say', () => {
    expect(readStoredJob(JSON.parse(JSON.stringify(file)))).toEqual(file)
    const earlier = readStoredJob(without(file, ['pace', 'testSpots']))
    expect(earlier.pace).toEqual({})
    expect(earlier.testSpots).toEqual([])
  })

  it('is not guessed at where it is none', () => {
    for (const none of [null, {}, { ...file, format: 'even-spoke/job/2' }])
      expect(() => readStoredJob(none)).toThrow()
  })
})
