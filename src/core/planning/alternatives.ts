import { planNames, type Job, type PlanName } from '@/core/job/job'
import { protectionFacts } from '@/core/protection/kinds'
import type { Version } from './version'
import type { Alternative, Stage } from '@/core/plan/plan'
import { capital, summaryOf } from '@/core/words/sayPlan'

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

export const minutesOf = (seconds: number): number => Math.round(seconds / 60)

function whyAlternative(
  name: PlanName,
  mine: Version,
  others: Readonly<Record<PlanName, Version>>,
  job: Job,
): string {
  const rival = name === 'gentlest' ? others.fastest : others.gentlest
  const same = summaryOf(job, mine.stages) === summaryOf(job, rival.stages)
  if (same) return 'Gentle and quick are the same here.'
  const minutes = Math.abs(minutesOf(mine.operatorSeconds) - minutesOf(rival.operatorSeconds))
  const [a, b] = [protectionLost(job, mine.stages).share, protectionLost(job, rival.stages).share]
  const percent = Math.round(Math.abs(a - b) * 100)
  if (name === 'gentlest') {
    return `Least for finish and protection: ${percent > 0 ? `${percent} % less of it lost` : 'less that asks for care'} for ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} more than the fastest.`
  }
  if (name === 'fastest') {
    return `${minutes} ${minutes === 1 ? 'minute' : 'minutes'} less than the gentlest, ${percent > 0 ? `for ${percent} % more of the protection` : 'with more that asks for care'}.`
  }
  return 'Minutes, product, protection and care weighed against each other.'
}

/** The three plans on what differs between them. */
export function alternativesOf(job: Job, versions: Readonly<Record<PlanName, Version>>): Alternative[] {
  return planNames.map((name) => {
    const version = versions[name]
    const lost = protectionLost(job, version.stages)
    return {
      name,
      summary: capital(summaryOf(job, version.stages)),
      operatorSeconds: version.operatorSeconds,
      costMinor: version.costMinor,
      protectionLostShare: lost.share,
      protectionLostDays: lost.days,
      risk: Math.round(version.whole.cost[3] * 10) / 10,
      why: whyAlternative(name, version, versions, job),
    }
  })
}
