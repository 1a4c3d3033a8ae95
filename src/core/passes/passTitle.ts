import { exhaustive } from '@/core/exhaustive'
import type { Stage } from '@/core/plan/plan'
import { isOnRubber } from '@/core/acts/stageKind'
import type { PassKind } from './planPass'

/**
 * A pass as a person names it.
 * @param stages what is worked in it
 * @param isFirst whether it is the first of its kind
 * @param isAgain whether its product was on these wheels before
 */
export function passTitle(
  kind: PassKind,
  stages: readonly Pick<Stage, 'kind' | 'family'>[],
  isFirst: boolean,
  isAgain: boolean,
): string {
  switch (kind) {
    case 'wash':
      if (stages.length > 0 && stages.every((one) => isOnRubber(one.kind))) return 'Arch and tyre'
      if (isFirst || stages.some((one) => isOnRubber(one.kind))) return 'Wash'
      return isAgain ? 'Second application' : 'Wheel wash'
    case 'presoak':
      return 'Pre-soak'
    case 'rinse':
      return 'Rinse only'
    case 'waterless':
      return 'Waterless wash'
    case 'iron':
      return isAgain ? 'Iron remover again' : 'Iron remover'
    case 'mineral':
      return 'Scale remover'
    case 'tar':
      return stages.some(({ family }) => family === 'ironTarRemover') ? 'Iron and tar' : 'Tar spots'
    case 'check':
      return 'Final check'
    case 'protect':
      return 'Protection'
    case 'polish':
      return 'Metal polish'
    case 'end':
      return 'At the end'
    default:
      return exhaustive(kind)
  }
}
