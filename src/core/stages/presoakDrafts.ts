import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { isPlannable } from '@/core/choice/candidates'
import { sitesOf } from '@/core/choice/sites'
import { wantsPresoak } from '@/core/choice/presoak'
import type { Job } from '@/core/job/job'
import { judgePlaces, rulesAbout } from '@/core/rules/judge'
import { addDraft, type StageDraft } from './stageDraft'

/** A pre-soak where grit meets a finish that shows every touch, and the cabinet has one. */
export function presoakDrafts(job: Job, choices: readonly GroupChoice[]): StageDraft[] {
  const drafts: StageDraft[] = []
  const product = job.cabinet.find((one) => one.family === 'rinselessPresoak' && isPlannable(one, job))
  if (!product) return drafts
  for (const { group, plans } of choices) {
    if (plans.length === 0 || !wantsPresoak(group, job)) continue
    const judgement = judgePlaces(rulesAbout({ product }), sitesOf(group, job))
    if (judgement.verdict === 'no') continue
    addDraft(
      drafts,
      {
        kind: 'presoak',
        product,
        fraction: product.strength.to,
        dwellSeconds: product.dwellSeconds,
        zones: group.zones,
        tools: [],
        judgement,
        why: 'Grit on a finish that shows every touch: it is soaked loose before the first rinse.',
        care: [],
        rounds: 1,
      },
      group.corners,
    )
  }
  return drafts
}
