import { message } from '@/core/message/message'
import { judgedDwell } from '@/core/choice/judgedDwell'
import { sitesOf } from '@/core/choice/sites'
import type { WheelGroup } from '@/core/choice/wheelGroup'
import { familyOf } from '@/core/chemistry/families'
import type { Job } from '@/core/job/job'
import { productRulesAt } from '@/core/rules/judge'
import type { ProductVerdict } from '@/core/plan/plan'

/** What the rule book says of every cleaner and protection of the cabinet, over all wheels. */
export function verdictsOf(job: Job, groups: readonly WheelGroup[]): ProductVerdict[] {
  const rubber = (zone: 'tyre' | 'arch') =>
    productRulesAt(sitesOf({ corners: job.corners, zones: [zone] }, job))
  const rulesOf = {
    clean: productRulesAt(groups.flatMap((group) => sitesOf(group, job))),
    // Nobody protects a caliper.
    protect: productRulesAt(
      groups.flatMap((group) =>
        sitesOf(
          group,
          job,
          group.zones.filter((zone) => zone !== 'caliper'),
        ),
      ),
    ),
    tyre: rubber('tyre'),
    arch: rubber('arch'),
  }
  return job.cabinet
    .filter(({ archived }) => !archived)
    .map((product) => {
      const { surfaces, purpose } = familyOf(product.family)
      const place = surfaces.includes('wheel') ? purpose : surfaces.includes('tyre') ? 'tyre' : 'arch'
      const rules = rulesOf[place](product)
      const at = (fraction: number) => judgedDwell(product, fraction, rules).judgement
      const strongest = at(product.strength.to)
      // What may not be used at full strength may still be used weaker.
      const judgement = strongest.verdict === 'no' ? at(product.strength.from) : strongest
      return {
        productId: product.id,
        productName: product.name,
        verdict: judgement.verdict,
        reason: judgement.rules[0]?.reason ?? message('reasons.verdict.noRule'),
        // What these wheels taught is no row of the book.
        ruleIds: judgement.rules.flatMap(({ id, markedBy }) => (markedBy === undefined ? [id] : [])),
      }
    })
}
