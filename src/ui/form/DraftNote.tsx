import { useTranslations } from 'next-intl'
import type { DraftState } from './useDraft'

/** Says that a form shows what was typed earlier and not what is saved. */
export function DraftNote({ draft }: { readonly draft: DraftState }) {
  const t = useTranslations()

  if (draft.restored === 'no') return null
  return (
    <p className="draft-note" role="status">
      {draft.restored === 'changed' ? t('common.draft.changedElsewhere') : t('common.draft.unsaved')}{' '}
      <button type="button" className="link-button" onClick={() => draft.startAfresh()}>
        {t('common.draft.discard')}
      </button>
    </p>
  )
}
