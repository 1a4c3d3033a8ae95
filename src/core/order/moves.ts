import { message, type Message } from '@/core/message/message'
import type { Step } from '@/core/plan/plan'

/** What a step does, said the same for the same work at another wheel: its id without wheel and number of the stage. */
export const moveOf = ({ id, corner }: Step): string =>
  (corner === null ? id : id.slice(corner.length + 1)).replace(/-\d+(?=\.)/, '')

/** What a move is called in the words of a pattern; null for what goes without saying. */
export function moveWords({ act, stageId }: Step): Message | null {
  const kind = stageId?.replace(/-\d+$/, '')
  switch (act) {
    case 'preRinse':
      return message('order.moves.preRinse')
    case 'spray':
      return kind === 'iron'
        ? message('order.moves.iron')
        : kind === 'tar'
          ? message('order.moves.tar')
          : kind === 'presoak'
            ? message('order.moves.presoak')
            : message('order.moves.cleaner')
    case 'agitate':
    case 'scrub':
      return message('order.moves.brush')
    case 'wipe':
      return message('order.moves.wipe')
    case 'rinse':
      return message('order.moves.rinse')
    case 'lookAgain':
      return message('order.moves.check')
    case 'dry':
      return message('order.moves.dry')
    case 'protect':
      return message('order.moves.protect')
    case 'dress':
      return message('order.moves.dress')
    case 'hub':
      return message('order.moves.hub')
    case 'testSpot':
    case 'reMist':
    case 'roll':
    case 'body':
    case 'brakes':
    case 'writeDown':
    case 'lookRound':
    case 'coolCheck':
    case 'getReady':
      return null
    default:
      return act satisfies never
  }
}
