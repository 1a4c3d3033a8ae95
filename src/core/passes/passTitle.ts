import { message, type Message } from '@/core/message/message'
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
): Message {
  switch (kind) {
    case 'wash':
      if (stages.length > 0 && stages.every((one) => isOnRubber(one.kind)))
        return message('steps.passes.archAndTyre')
      if (isFirst || stages.some((one) => isOnRubber(one.kind))) return message('steps.passes.wash')
      return isAgain ? message('steps.passes.secondApplication') : message('steps.passes.wheelWash')
    case 'presoak':
      return message('steps.passes.presoak')
    case 'rinse':
      return message('steps.passes.rinse')
    case 'waterless':
      return message('steps.passes.waterless')
    case 'iron':
      return isAgain ? message('steps.passes.ironAgain') : message('steps.passes.iron')
    case 'mineral':
      return message('steps.passes.mineral')
    case 'tar':
      return stages.some(({ family }) => family === 'ironTarRemover')
        ? message('steps.passes.ironAndTar')
        : message('steps.passes.tar')
    case 'check':
      return message('steps.passes.check')
    case 'protect':
      return message('steps.passes.protect')
    case 'polish':
      return message('steps.passes.polish')
    case 'end':
      return message('steps.passes.end')
    default:
      return exhaustive(kind)
  }
}
