import { currentTime } from '@/clock'
import { useEffect, useRef, useState } from 'react'
import { mergeChanges } from '@/contracts/mergeChanges'
import { forgetDraft, keepDraft, readDraft } from './draft'

/** After the last key, so that typing is not slowed, ms. */
const pauseMilliseconds = 250

export interface DraftState {
  /** `changed`: what is saved was changed elsewhere since the draft was begun. */
  readonly restored: 'no' | 'yes' | 'changed'
  /** Throws the draft away and shows what is saved. */
  startAfresh(): void
  /** The draft was sent. */
  forget(): void
}

/**
 * Keeps on the device what is typed into a form, and brings it back after a reload, a failure or a dead battery.
 * @param form names the form and what it edits
 * @param version of the saved state that the form shows; 0 for something new
 * @param restore puts kept values, or those the form began with, into the form
 */
export function useDraft<T>(
  form: string,
  version: number,
  values: T,
  restore: (values: T) => void,
): DraftState {
  const [restored, setRestored] = useState<DraftState['restored']>('no')
  const text = JSON.stringify(values)
  const begun = useRef({ values, text })
  const put = useRef(restore)
  useEffect(() => {
    put.current = restore
  })
  useEffect(() => {
    const now = begun.current.values
    const draft = readDraft(form, now, currentTime().getTime())
    if (!draft) return
    // What somebody else saved since then stays where nothing was typed over it.
    const { value } = mergeChanges(draft.from ?? now, draft.values, now)
    if (JSON.stringify(value) === begun.current.text) return
    put.current(value)
    setRestored(draft.version === version ? 'yes' : 'changed')
  }, [form, version])
  useEffect(() => {
    if (text === begun.current.text) return
    const keep = (): void => {
      // Sent meanwhile.
      if (text === begun.current.text) return
      keepDraft(form, {
        values: JSON.parse(text) as T,
        from: begun.current.values,
        version,
        at: currentTime().getTime(),
      })
    }
    const timer = setTimeout(keep, pauseMilliseconds)
    window.addEventListener('pagehide', keep)
    return () => {
      clearTimeout(timer)
      window.removeEventListener('pagehide', keep)
    }
  }, [form, version, text])
  return {
    restored,
    startAfresh: () => {
      forgetDraft(form)
      put.current(begun.current.values)
      setRestored('no')
    },
    forget: () => {
      begun.current = { values, text }
      forgetDraft(form)
    },
  }
}
