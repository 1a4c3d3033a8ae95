import { useEffect, useRef } from 'react'

/** What the keys of a one-button remote or a foot switch send, as far as browsers let them through. */
const doneKeys = [' ', 'Enter', 'PageDown', 'MediaPlayPause', 'MediaTrackNext', 'AudioVolumeUp']
const undoKeys = ['PageUp', 'Backspace', 'MediaTrackPrevious', 'AudioVolumeDown']

/** A key that the focused element uses itself. */
function isTaken(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false
  if (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return true
  return (key === ' ' || key === 'Enter') && /^(BUTTON|A|SUMMARY)$/.test(target.tagName)
}

/** Done and undo by keys, so that a remote or a foot switch works the whole job. */
export function useRemote(done: () => void, undo: () => void): void {
  const latest = useRef({ done, undo })
  useEffect(() => {
    latest.current = { done, undo }
  })
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      const { key } = event
      const isDone = doneKeys.includes(key)
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return
      if ((!isDone && !undoKeys.includes(key)) || isTaken(event.target, key)) return
      event.preventDefault()
      if (isDone) latest.current.done()
      else latest.current.undo()
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [])
}
