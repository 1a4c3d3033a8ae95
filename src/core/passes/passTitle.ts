import { exhaustive } from '@/core/exhaustive'
import { isOnRubber, type StageKind } from '@/core/work/stageKind'
import type { PassKind } from './planPass'

/** A pass as a person names it. @param isAgain whether its product was on these wheels before */
export function passTitle(kind: PassKind, stages: readonly StageKind[], isAgain: boolean): string {
  switch (kind) {
    case 'wash':
      if (stages.length > 0 && stages.every(isOnRubber)) return 'Arch and tyre'
      return stages.some(isOnRubber) || !isAgain ? 'Wash' : 'Second application'
    case 'presoak':
      return 'Pre-soak'
    case 'waterless':
      return 'Waterless wash'
    case 'iron':
      return isAgain ? 'Iron remover again' : 'Iron remover'
    case 'mineral':
      return 'Scale remover'
    case 'tar':
      return 'Tar spots'
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
