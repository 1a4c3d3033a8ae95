import { useState, useSyncExternalStore } from 'react'

const keyOf = (jobId: string) => `even-spoke.who.${jobId}`
const nothingChanges = () => () => {}

function stored(jobId: string): number {
  try {
    return localStorage.getItem(keyOf(jobId)) === '1' ? 1 : 0
  } catch {
    return 0
  }
}

/** Which of the two people holds this device; kept on it, so that a reload does not hand it to the other. */
export function useWho(jobId: string): [number, (person: number) => void] {
  const kept = useSyncExternalStore(
    nothingChanges,
    () => stored(jobId),
    () => 0,
  )
  const [chosen, setChosen] = useState<number | null>(null)
  return [
    chosen ?? kept,
    (person) => {
      setChosen(person)
      try {
        localStorage.setItem(keyOf(jobId), String(person))
      } catch {
        // A browser that keeps nothing asks again after a reload.
      }
    },
  ]
}
