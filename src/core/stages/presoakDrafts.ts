import { message } from '@/core/message/message'
import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { isPlannable } from '@/core/choice/candidates'
import { sitesOf } from '@/core/choice/sites'
import { hasDustToLoosen, wantsPresoak } from '@/core/choice/presoak'
import type { Job } from '@/core/job/job'
import { judgePlaces, rulesAbout } from '@/core/rules/judge'
import { addDraft, type StageDraft } from './stageDraft'

/**
 * A pre-soak where grit meets a finish that shows every touch, or loose dust does and the wash is not sprayed on to work by itself
 * first; none where the cabinet has none.
 */
export function presoakDrafts(
  job: Job,
  choices: readonly GroupChoice[],
  washes: readonly StageDraft[],
): StageDraft[] {
  const drafts: StageDraft[] = []
  const product = job.cabinet.find((one) => one.family === 'rinselessPresoak' && isPlannable(one, job))
  if (!product) return drafts
  for (const { group, plans } of choices) {
    const isGritty = wantsPresoak(group, job)
    const isTouchedAtOnce = washes.some(
      ({ kind, product: wash, corners }) =>
        kind === 'wash' &&
        wash.delivery === 'bucket' &&
        group.corners.some((corner) => corners.includes(corner)),
    )
    if (plans.length === 0 || !(isGritty || (isTouchedAtOnce && hasDustToLoosen(group)))) continue
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
        why: message(isGritty ? 'reasons.why.presoakGrit' : 'reasons.why.presoakDust'),
        care: [],
        rounds: 1,
      },
      group.corners,
    )
  }
  return drafts
}
