import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { readJobText } from '@/contracts/jobFile'
import { planFromFile } from './planFromFile'
import { planOfAnswer, resumedOfAnswer } from './workerAnswers'

const read = readJobText(readFileSync('docs/examples/winter-neglected.job.json', 'utf8'))
if (!read.ok) throw new Error('bad example')
const { file } = read.value

it('reads what the worker answers, plan and refusal alike', () => {
  const answer = planFromFile(file)
  expect(planOfAnswer(answer)).toEqual(answer)
  const refusal = { ok: false, problems: [{ path: 'people', found: '3', fix: 'Choose one or two.' }] }
  expect(planOfAnswer(refusal)).toEqual(refusal)
})

it.each([
  [null],
  [{}],
  [{ ok: true }],
  [{ ok: true, value: { format: 'other/1' } }],
  [{ ok: false }],
  ['ok'],
])('takes %j for no plan', (answer) => expect(() => planOfAnswer(answer)).toThrow())

it('reads an order of what is left, and takes nothing else for one', () => {
  expect(resumedOfAnswer(null)).toBeNull()
  const order = { entries: [{ stepId: 'a', startSeconds: 0, endSeconds: 5 }], lost: [], dropped: [] }
  expect(resumedOfAnswer(order)).toEqual(order)
  for (const answer of [{}, { ...order, entries: [{ stepId: 'a' }] }, { ...order, lost: [1] }])
    expect(() => resumedOfAnswer(answer)).toThrow()
})
