import type { OrderPattern } from '@/core/plan/plan'

const changes = (count: number): string => (count === 1 ? 'one change of wheel' : `${count} changes of wheel`)

/** What a calmer order gives up against the shortest that is known; empty where it gives up nothing worth a word. */
function givenUp({
  kind,
  wheelChanges,
  shortestWheelChanges,
  seconds,
  shortestSeconds,
}: OrderPattern): string {
  const minutes = Math.round((seconds - shortestSeconds) / 60)
  if (kind === 'shortest' || kind === 'oneAtATime' || minutes < 1 || shortestWheelChanges <= wheelChanges)
    return ''
  return `The shortest order saves ${minutes} min with ${changes(shortestWheelChanges)} instead of ${wheelChanges}.`
}

/** The order in a sentence or two, to be kept in mind, and why it is no shorter. */
export function PatternWords({ pattern }: { pattern: OrderPattern }) {
  const why = [pattern.because ?? '', givenUp(pattern)].filter((text) => text !== '').join(' ')
  return (
    <div className="pattern-words">
      <p>{pattern.sentences.join(' ')}</p>
      {why !== '' && <p className="soft">{why}</p>}
    </div>
  )
}
