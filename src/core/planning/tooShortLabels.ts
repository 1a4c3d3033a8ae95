import { message } from '@/core/message/message'
import { familyOf } from '@/core/chemistry/families'
import { isPlannable } from '@/core/choice/candidates'
import { leavesHandsTime } from '@/core/choice/handsTime'
import { sitesOf } from '@/core/choice/sites'
import type { Job } from '@/core/job/job'
import type { Shortfall } from '@/core/plan/plan'
import type { UseSite } from '@/core/rules/judge'
import type { Zone } from '@/core/wheel/zone'

/** Names the products whose labels leave no time to work, and says what to correct. */
export function sayTooShort(job: Job): Shortfall[] {
  const { corners } = job
  const place = (zones: readonly Zone[]): UseSite[] => sitesOf({ corners, zones }, job)
  const [wheel, rubber] = [place(['face', 'barrel']), place(['tyre', 'arch'])]
  const short = job.cabinet.filter(
    (product) =>
      isPlannable(product, job) &&
      product.family !== 'rinselessPresoak' &&
      !leavesHandsTime(
        product,
        product.strength.to,
        familyOf(product.family).surfaces.includes('wheel') ? wheel : rubber,
        job,
      ),
  )
  const [first] = short
  if (!first) return []
  const { min, max } = first.dwellSeconds
  return [
    {
      corners: corners.map(({ position }) => position),
      text: message('reasons.cabinet.noTime', {
        count: short.length,
        products: short.map(({ name }) => name),
        first: first.name,
        from: { dwellSeconds: min },
        to: { dwellSeconds: max },
      }),
      fix: message('reasons.cabinet.noTimeFix'),
    },
  ]
}
