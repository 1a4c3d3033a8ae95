'use client'

import { useTranslations } from 'next-intl'
import { Camera } from 'lucide-react'
import { PictureInput } from './PictureInput'
import { usePhotograph, type PhotographOf } from './usePhotograph'

/** Takes a photograph, or several that are there already. */
export function TakePhotograph({ label, ...of }: PhotographOf & { readonly label: string }) {
  const t = useTranslations()
  const { taken, takeAll } = usePhotograph(of)
  return (
    <span className="take-photograph">
      <PictureInput className="btn btn-outline-secondary" take={takeAll}>
        <Camera aria-hidden size={18} /> {label}
      </PictureInput>
      <span role="status" className="soft">
        {taken && t(`photos.taken.${taken}`)}
      </span>
    </span>
  )
}
