import type { GroupChoice } from '@/core/choice/chooseForGroup'
import type { Option } from '@/core/choice/option'
import { amountAt } from '@/core/choice/need'
import type { Job } from '@/core/job/job'

/** Film from which a shop that over-foams does so: heavy. */
const heavyFilm = 4

/**
 * The strong foam that goes over the cleaner which is on the wheel, in a shop that does so on heavy film.
 * @returns null where the shop does not, the film is not heavy, or no foam of the cabinet may go there
 */
export function overFoamOf({ group, options }: GroupChoice, job: Job): Option | null {
  const isHeavy = group.zones.some((zone) => amountAt(group, zone, 'film') >= heavyFilm)
  if (!job.methods.overFoaming || !isHeavy) return null
  const foams = options.filter(
    ({ product, judgement, rounds }) =>
      product.family === 'alkalineFoam' && judgement.verdict !== 'no' && rounds === 1,
  )
  return foams.at(-1) ?? null
}
