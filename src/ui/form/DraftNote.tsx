import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import type { DraftState } from './useDraft'

/** Says that a form shows what was typed earlier and not what is saved, or that there is something typed on another day. */
export function DraftNote({ draft }: { readonly draft: DraftState }) {
  const t = useTranslations()
  const formats = useFormats()

  const { restored, offeredOf } = draft
  if (restored === 'no' && !offeredOf) return null
  return (
    <p className="draft-note" role="status">
      {offeredOf
        ? t('common.draft.ofDay', { day: formats.day(offeredOf, currentTime()) })
        : restored === 'changed'
          ? t('common.draft.changedElsewhere')
          : t('common.draft.unsaved')}{' '}
      {offeredOf && (
        <button type="button" className="link-button" onClick={() => draft.takeOffered()}>
          {t('common.draft.show')}
        </button>
      )}{' '}
      <button type="button" className="link-button" onClick={() => draft.startAfresh()}>
        {t('common.draft.discard')}
      </button>
    </p>
  )
}
