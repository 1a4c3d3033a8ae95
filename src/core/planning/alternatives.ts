import { message, type Message } from '@/core/message/message'
import { planNames, type Job, type PlanName } from '@/core/job/job'
import { protectionFacts } from '@/core/protection/kinds'
import type { Version } from './version'
import type { Alternative, Stage } from '@/core/plan/plan'
import { summaryOf } from '@/core/reasons/summary'

/** Worst share lost on any wheel, and what that is in days of the layer that lasts longest. */
function protectionLost(job: Job, stages: readonly Stage[]): { share: number; days: number } {
  return job.corners.reduce(
    (worst, { position, protection }) => {
      const share = Math.min(
        1,
        stages
          .filter(({ corners }) => corners.includes(position))
          .reduce((sum, stage) => sum + stage.protectionLostShare, 0),
      )
      const lives = protection
        .filter((kind) => protectionFacts[kind].on === 'wheel')
        .map((kind) => Math.sqrt(protectionFacts[kind].lifeDays.from * protectionFacts[kind].lifeDays.to))
      return {
        share: Math.max(worst.share, share),
        days: Math.max(worst.days, Math.round(share * Math.max(0, ...lives))),
      }
    },
    { share: 0, days: 0 },
  )
}

function whyAlternative(
  name: PlanName,
  mine: Version,
  others: Readonly<Record<PlanName, Version>>,
  job: Job,
): Message {
  const rival = name === 'gentlest' ? others.fastest : others.gentlest
  if (doneBy(mine) === doneBy(rival))
    return name === 'balanced'
      ? message('reasons.option.weighed')
      : message('reasons.option.gentlestIsFastest')
  const time = { seconds: Math.max(60, Math.abs(mine.operatorSeconds - rival.operatorSeconds)) }
  const [a, b] = [protectionLost(job, mine.stages).share, protectionLost(job, rival.stages).share]
  const share = { share: Math.abs(a - b) }
  const isLess = Math.round(share.share * 100) > 0
  if (name === 'gentlest')
    return isLess
      ? message('reasons.option.gentlestKeeps', { share, time })
      : message('reasons.option.gentlest', { time })
  if (name === 'fastest')
    return isLess
      ? message('reasons.option.fastestLoses', { share, time })
      : message('reasons.option.fastest', { time })
  return message('reasons.option.balanced')
}

/** The wheel chemistry of a plan, as a sentence of its own. */
export const summaryIn = (job: Job, stages: readonly Stage[]): Message =>
  message('common.asItIs', { text: { capital: summaryOf(job, stages) } })

/** What a version does at the wheels, to tell whether two come to the same. */
const doneBy = ({ stages }: Version): string =>
  stages
    .map(({ productId, strength, rounds, corners }) =>
      [productId, strength.from, rounds, ...[...corners].sort()].join(' '),
    )
    .join('; ')

/** The plans on what differs between them; those that come to the same are told once, under the name that was chosen. */
export function alternativesOf(
  job: Job,
  versions: Readonly<Record<PlanName, Version>>,
  chosen: PlanName = job.wishes.prefer,
): Alternative[] {
  const known = new Map<string, PlanName>()
  for (const name of [chosen, ...planNames]) {
    const text = doneBy(versions[name])
    if (!known.has(text)) known.set(text, name)
  }
  const told = planNames.filter((name) => known.get(doneBy(versions[name])) === name)
  return told.map((name) => {
    const version = versions[name]
    const lost = protectionLost(job, version.stages)
    return {
      name,
      summary: summaryIn(job, version.stages),
      operatorSeconds: version.operatorSeconds,
      costMinor: version.costMinor,
      protectionLostShare: lost.share,
      protectionLostDays: lost.days,
      risk: Math.round(version.whole.cost[3] * 10) / 10,
      why: told.length === 1 ? message('reasons.option.same') : whyAlternative(name, version, versions, job),
    }
  })
}
