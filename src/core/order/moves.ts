import type { Step } from '@/core/plan/plan'

/** What a step does, said the same for the same work at another wheel: its id without wheel and number of the stage. */
export const moveOf = ({ id, corner }: Step): string =>
  (corner === null ? id : id.slice(corner.length + 1)).replace(/-\d+(?=\.)/, '')

/** What a move is called in the words of a pattern; null for what goes without saying. */
export function moveWords({ act, stageId }: Step): string | null {
  const kind = stageId?.replace(/-\d+$/, '')
  switch (act) {
    case 'preRinse':
      return 'knock down'
    case 'spray':
      return kind === 'iron'
        ? 'iron remover on'
        : kind === 'tar'
          ? 'tar remover on'
          : kind === 'presoak'
            ? 'pre-soak'
            : 'cleaner on'
    case 'agitate':
    case 'scrub':
      return 'brush'
    case 'wipe':
      return 'wipe'
    case 'rinse':
      return 'rinse'
    case 'lookAgain':
      return 'look again'
    case 'dry':
      return 'dry'
    case 'protect':
      return 'protect'
    case 'dress':
      return 'dress'
    case 'hub':
      return 'hub'
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
