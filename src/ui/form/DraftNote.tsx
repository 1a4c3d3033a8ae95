import type { DraftState } from './useDraft'

/** Says that a form shows what was typed earlier and not what is saved. */
export function DraftNote({ draft }: { readonly draft: DraftState }) {
  if (draft.restored === 'no') return null
  return (
    <p className="draft-note" role="status">
      {draft.restored === 'changed'
        ? 'This is what you typed earlier. It was saved differently elsewhere since then: what you changed stands here, the rest is as it is saved now.'
        : 'This is what you typed earlier; it is not saved yet.'}{' '}
      <button type="button" className="link-button" onClick={() => draft.startAfresh()}>
        Start afresh
      </button>
    </p>
  )
}
