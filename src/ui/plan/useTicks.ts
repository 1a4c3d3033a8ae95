import { useSyncExternalStore } from 'react'

const keyOf = (name: string): string => `even-spoke.ticks.${name}`
const none = '[]'

/** Lists that are shown on this page; other pages are told by the browser. */
const listeners = new Set<() => void>()
/** What a device keeps that is full: until the page goes. */
const unsaved = new Map<string, string>()

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  window.addEventListener('storage', listener)
  return () => {
    listeners.delete(listener)
    window.removeEventListener('storage', listener)
  }
}

function read(key: string): string {
  try {
    return unsaved.get(key) ?? localStorage.getItem(key) ?? none
  } catch {
    return unsaved.get(key) ?? none
  }
}

function write(key: string, text: string): void {
  try {
    localStorage.setItem(key, text)
    unsaved.delete(key)
  } catch {
    unsaved.set(key, text)
  }
  for (const listener of listeners) listener()
}

/** Ids in a kept text; none where it is not what was written. */
export function ticksIn(text: string): readonly string[] {
  try {
    const found: unknown = JSON.parse(text)
    return Array.isArray(found) ? found.filter((one): one is string => typeof one === 'string') : []
  } catch {
    return []
  }
}

/**
 * A list that is ticked off on this device.
 * @param name of the list: the same after a reload
 */
export function useTicks(name: string): {
  readonly ticked: ReadonlySet<string>
  readonly toggle: (id: string) => void
} {
  const key = keyOf(name)
  const ids = ticksIn(
    useSyncExternalStore(
      subscribe,
      () => read(key),
      () => none,
    ),
  )
  return {
    ticked: new Set(ids),
    toggle: (id) =>
      write(key, JSON.stringify(ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id])),
  }
}
