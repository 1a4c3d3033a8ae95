import type { Said } from '@/core/message/message'
import type { Corner, Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import type { Act } from '@/core/acts/act'
import { stepCautions } from '@/core/reasons/cautions'
import { jetCautions } from './jetCautions'

/** Rules whose care is for the hand that rubs. */
const aboutRubbing: readonly string[] = ['matte-without-pressure', 'polish-along-the-grain']

const aboutTheHand = ({ rules }: Stage): readonly Said[] =>
  rules.flatMap(({ id, care }) => (care && aboutRubbing.includes(id) ? [care] : []))

/** A caution stands where the hand is: what a jet harms at every rinse, what rubbing harms at the brush. */
export function cautionsAt(act: Act, stage: Stage, corner: Corner, job: Job): readonly Said[] {
  switch (act) {
    case 'spray':
    case 'protect':
      return stage.cautions
    case 'dress':
      return [...stage.cautions, stepCautions.brakes]
    case 'rinse':
      return jetCautions(corner, job)
    case 'wipe':
      return stage.kind === 'polish' ? stage.cautions : aboutTheHand(stage)
    case 'agitate':
      return aboutTheHand(stage)
    default:
      return []
  }
}
