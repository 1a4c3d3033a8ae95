import { inEnglish } from '@/i18n/testEnglish'
import { expect, it } from 'vitest'
import type { Corner, Job } from '@/core/job/job'
import { fourCorners, testJob } from '@/core/job/testJob'
import { makePlan } from './makePlan'

const light = {
  face: { freshDust: 1 },
  barrel: { freshDust: 1 },
  arch: { film: 1 },
  tyre: { tyreBrowning: 1 },
} as const
const saidFor = (corner: Partial<Corner>, job: Partial<Job>): string =>
  inEnglish(makePlan(testJob(fourCorners(corner), job)))
    .shortfalls.map(({ text, fix }) => `${text} ${fix}`)
    .join('\n')
const within = (minutesAllowed: number) =>
  ({ prefer: 'gentlest', pinned: [], forbidden: [], minutesAllowed }) as const

it('twenty minutes for coated wheels with light dust: a quick round fits, with its minutes', () => {
  const said = saidFor(
    { loads: light, protection: ['ceramicCoating'] },
    { service: 'coatedMaintenance', wishes: within(20) },
  )
  expect(said).toMatch(/You allowed 20 min.*“Quick round” fits: 1\d min/)
})

it.each([
  ['dirty wheels', { loads: { ...light, face: { film: 3 } }, protection: ['ceramicCoating'] }],
  ['bare wheels', { loads: light }],
] as const)('no quick round is offered for %s', (_, corner) => {
  expect(saidFor(corner, { service: 'maintain', wishes: within(20) })).not.toContain('Quick round')
})

it('where nothing fits, no service is named', () => {
  expect(
    saidFor({ loads: light, protection: ['ceramicCoating'] }, { service: 'maintain', wishes: within(3) }),
  ).not.toContain('fits')
})
