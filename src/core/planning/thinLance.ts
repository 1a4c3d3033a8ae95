import { message } from '@/core/message/message'
import { lanceSurfaceFraction } from '@/core/dilution/foamLance'
import type { Job } from '@/core/job/job'
import type { Shortfall, Stage } from '@/core/plan/plan'

/** Labels of lance products reckon with a lance that mixes about one part in ten; less than a third of that is too thin. House estimate. */
const thinnestShare = 0.035

/** Says where the lance draws so little that what is foamed on is far thinner at the wheel than its label reckons. */
export function sayThinLance({ equipment }: Job, stages: readonly Stage[]): Shortfall[] {
  const foamed = stages.filter(({ delivery }) => delivery === 'lance')
  const share = lanceSurfaceFraction(1, equipment.lance)
  if (foamed.length === 0 || share >= thinnestShare) return []
  const products = [...new Set(foamed.map(({ productName }) => productName))]
  return [
    {
      corners: [...new Set(foamed.flatMap(({ corners }) => corners))],
      text: message('reasons.cabinet.thinLance', { products, parts: Math.round(1 / share) }),
      fix: message('reasons.cabinet.thinLanceFix'),
    },
  ]
}
