import { useState, useSyncExternalStore } from 'react'

/** How this device shows and says the bay; kept on it. */
export interface BayDevice {
  /** To be read from two metres. */
  readonly isFar: boolean
  /** Main button under the left thumb. */
  readonly isLeftHanded: boolean
  /** The next card and the clocks are said aloud. */
  readonly speaks: boolean
}

const key = 'even-spoke.bay'
const usual: BayDevice = { isFar: false, isLeftHanded: false, speaks: false }
const nothingChanges = () => () => {}

function kept(): string {
  try {
    return localStorage.getItem(key) ?? ''
  } catch {
    return ''
  }
}

function read(text: string): BayDevice {
  try {
    const known = JSON.parse(text) as Partial<Record<keyof BayDevice, unknown>>
    return {
      isFar: known.isFar === true,
      isLeftHanded: known.isLeftHanded === true,
      speaks: known.speaks === true,
    }
  } catch {
    return usual
  }
}

/** The settings of the bay on this device, and how to change them. */
export function useBayDevice(): [BayDevice, (changes: Partial<BayDevice>) => void] {
  const stored = useSyncExternalStore(nothingChanges, kept, () => '')
  const [chosen, setChosen] = useState<BayDevice | null>(null)
  const now = chosen ?? read(stored)
  return [
    now,
    (changes) => {
      const next = { ...now, ...changes }
      setChosen(next)
      try {
        localStorage.setItem(key, JSON.stringify(next))
      } catch {
        // A browser that keeps nothing has it set anew after a reload.
      }
    },
  ]
}
