import { useTranslations } from 'next-intl'
import { PictureInput } from './PictureInput'
import { usePhotograph, type PhotographOf } from './usePhotograph'

/** Takes a photograph in the bay: the camera opens at once, one word tells what became of it. */
export function BayPhotograph(of: PhotographOf) {
  const t = useTranslations()

  const { taken, takeAll } = usePhotograph(of)
  return (
    <span>
      <PictureInput className="link-button" isCamera take={takeAll}>
        {taken ? t(`photos.short.${taken}`) : t('photos.photo')}
        <span className="visually-hidden">
          {of.positions.length === 0 ? t('photos.ofSet') : t('photos.ofWheel')}
        </span>
      </PictureInput>
      <span aria-live="polite" className="visually-hidden">
        {taken && t(`photos.taken.${taken}`)}
      </span>
    </span>
  )
}
