import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { readJobText } from './jobFile'
import { readStoredPlan } from './storedPlan'
import { withoutCosts } from './withoutCosts'

const example = (kind: string): Record<string, unknown> =>
  JSON.parse(readFileSync(`docs/examples/winter-neglected.${kind}.json`, 'utf8')) as Record<string, unknown>

it('leaves no price in a job, and one that can be read', () => {
  const cabinet = starterCabinet.map(({ id, name, family }) => {
    const otherPacks = [{ millilitres: 5000, priceMinor: 98_766 }]
    return { id, name, family, packPriceMinor: 98_765, otherPacks }
  })
  const told = JSON.stringify(withoutCosts({ ...example('job'), cabinet }))
  expect(told).not.toMatch(/9876[56]|Price|otherPacks/)
  const read = readJobText(told)
  expect(read.ok && read.value.job.cabinet.length).toBe(cabinet.length)
})

it('leaves no cost in a plan, and the rest as it was', () => {
  const plan = readStoredPlan(example('plan'))
  const quiet = withoutCosts(plan)
  expect(JSON.stringify(plan)).toMatch(/"costMinor":[1-9]/)
  expect(JSON.stringify(quiet)).not.toMatch(/"costMinor":[1-9]/)
  expect(quiet.steps).toEqual(plan.steps)
  expect(readStoredPlan(quiet)).toEqual(quiet)
})
