import { currentTime } from '@/clock'
import { useCallback, useEffect, useRef, useState } from 'react'
import { mergeChanges } from '@/contracts/mergeChanges'
import { forgetDraft, keepDraft, readDraft, type FoundDraft, type Slot } from './draft'

/** After the last key, so that typing is not slowed, ms. */
const pauseMilliseconds = 250
/** What was typed on another day is offered and not put into the form: wheels are graded as they are today, ms. */
const offeredAfterMilliseconds = 86_400_000

export interface DraftState {
  /** `changed`: what is saved was changed elsewhere since the draft was begun. */
  readonly restored: 'no' | 'yes' | 'changed'
  /** When a draft of an earlier day was typed; null: there is none. */
  readonly offeredOf: Date | null
  /** Where what is typed and not sent is kept: on the device, or on this page alone. */
  readonly unsaved: 'no' | 'onDevice' | 'onPage'
  /** Puts the draft of an earlier day into the form. */
  takeOffered(): void
  /** Throws the draft away and shows what is saved. */
  startAfresh(): void
  /** The draft was sent. @param next what the form shows now */
  forget(next?: unknown): void
}

export interface DraftOptions<T> {
  /** Names the form and what it edits; null: nothing of it may be kept. */
  readonly form: string | null
  /** Of the saved state that the form shows; 0 for something new. */
  readonly version: number
  readonly values: T
  /** It is sent under this id. */
  readonly requestId?: string
  /** The values that an earlier version of the form kept in another shape. */
  readonly upgrade?: ((kept: unknown) => unknown) | undefined
  /** Puts kept values, or those the form began with, into the form. */
  readonly restore: (values: T, requestId?: string) => void
}

/** The browser asks before a page is closed on which something is not saved. */
function useLeaveWarning(isUnsaved: boolean): void {
  useEffect(() => {
    if (!isUnsaved) return
    const warn = (event: BeforeUnloadEvent): void => event.preventDefault()
    window.addEventListener('beforeunload', warn)
    return () => window.removeEventListener('beforeunload', warn)
  }, [isUnsaved])
}

/** Keeps on the device what is typed into a form, and brings it back after a reload, a failure or a dead battery. */
export function useDraft<T>({
  form,
  version,
  values,
  requestId,
  upgrade,
  restore,
}: DraftOptions<T>): DraftState {
  const [restored, setRestored] = useState<DraftState['restored']>('no')
  const [offered, setOffered] = useState<FoundDraft<T> | null>(null)
  const [isOnDevice, setOnDevice] = useState(true)
  const text = JSON.stringify(values)
  const [begun, setBegun] = useState({ values, text })
  const first = useRef(begun)
  const taken = useRef<Slot | null>(null)
  const put = useRef(restore)
  const upgraded = useRef(upgrade)
  useEffect(() => {
    put.current = restore
    upgraded.current = upgrade
  })
  const take = useCallback(
    (draft: FoundDraft<T>) => {
      const now = first.current
      // What somebody else saved since then stays where nothing was typed over it.
      const { value } = mergeChanges(draft.from ?? now.values, draft.values, now.values)
      taken.current = draft.slot
      setOffered(null)
      if (JSON.stringify(value) === now.text) return
      put.current(value, draft.requestId)
      setRestored(draft.version === version ? 'yes' : 'changed')
    },
    [version],
  )
  useEffect(() => {
    if (form === null) return
    const now = currentTime().getTime()
    const draft = readDraft(form, first.current.values, now, upgraded.current)
    if (!draft) return
    if (now - draft.at < offeredAfterMilliseconds) take(draft)
    else setOffered(draft)
  }, [form, take])
  const isUnsaved = text !== begun.text
  useLeaveWarning(isUnsaved && form !== null)
  /** Keeps what stands in the form now; false where the device has no room. */
  const keeper = useRef<() => boolean>(() => true)
  useEffect(() => {
    keeper.current = () =>
      !isUnsaved ||
      form === null ||
      keepDraft(
        form,
        {
          values,
          from: begun.values,
          version,
          at: currentTime().getTime(),
          ...(requestId ? { requestId } : {}),
        },
        taken.current,
      )
  })
  useEffect(() => {
    if (!isUnsaved) return
    const keep = (): void => setOnDevice(keeper.current())
    const timer = setTimeout(keep, pauseMilliseconds)
    window.addEventListener('pagehide', keep)
    return () => {
      clearTimeout(timer)
      window.removeEventListener('pagehide', keep)
    }
  }, [text, isUnsaved])
  // Who follows a link right after the last key loses nothing either.
  useEffect(() => () => void keeper.current(), [])
  const drop = (): void => {
    if (form !== null) forgetDraft(form, offered?.slot ?? taken.current)
    taken.current = null
    setOffered(null)
    setRestored('no')
  }
  return {
    restored,
    offeredOf: offered && new Date(offered.at),
    unsaved: !isUnsaved || form === null ? 'no' : isOnDevice ? 'onDevice' : 'onPage',
    takeOffered: () => offered && take(offered),
    startAfresh: () => {
      const isOffered = offered !== null
      drop()
      // What was typed today stays.
      if (isOffered) return
      setBegun(first.current)
      put.current(first.current.values)
    },
    forget: (next: unknown = values) => {
      const now = { values: next as T, text: JSON.stringify(next) }
      first.current = now
      // The page may be gone before it is drawn again.
      keeper.current = () => true
      setBegun(now)
      drop()
    },
  }
}
