import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { planFromFile } from './planFromFile'
import { refineFromFile } from './refineFromFile'
import { readJobText } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'

const read = readJobText(readFileSync('docs/examples/winter-neglected.job.json', 'utf8'))
if (!read.ok) throw new Error('bad example')
const { file } = read.value

it('tells of better plans only, each as plain data', () => {
  const usual = planFromFile(file)
  if (!usual.ok || !usual.value.sequence) throw new Error('no plan')
  const told: PlanFile[] = []
  refineFromFile(file, (better) => told.push(better), 40_000)
  let end = usual.value.sequence.endSeconds
  for (const better of told) {
    expect(JSON.parse(JSON.stringify(better))).toEqual(better)
    expect(better.sequence?.endSeconds).toBeLessThanOrEqual(end)
    end = better.sequence?.endSeconds ?? NaN
  }
})

it('says nothing of a job that cannot be', () => {
  const [corner] = file.corners
  const told: PlanFile[] = []
  refineFromFile(
    { ...file, corners: [{ ...corner!, tyreCode: 'none' }] },
    (better) => told.push(better),
    1000,
  )
  expect(told).toEqual([])
})
