import { expose, wrap } from 'comlink'
import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { readJobText } from '@/contracts/jobFile'
import { planFromFile } from './planFromFile'

const read = readJobText(readFileSync('docs/examples/winter-neglected.job.json', 'utf8'))
if (!read.ok) throw new Error('bad example')
const { file } = read.value

it('a plan crosses the channel unchanged', async () => {
  const { port1, port2 } = new MessageChannel()
  expose({ planFromFile }, port1)
  const remote = wrap<{ planFromFile: typeof planFromFile }>(port2)
  expect(await remote.planFromFile(file)).toEqual(planFromFile(file))
  port1.close()
  port2.close()
})

it('a wheel that cannot be comes back as problems at its path, not as an exception', () => {
  const [corner] = file.corners
  const bad = planFromFile({ ...file, corners: [{ ...corner!, tyreCode: 'none' }] })
  expect(bad.ok).toBe(false)
  expect(!bad.ok && bad.problems[0]?.path).toBe('corners[0].tyreCode')
})
