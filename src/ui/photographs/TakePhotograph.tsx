'use client'

import { Camera } from 'lucide-react'
import { PictureInput } from './PictureInput'
import { takenWords, usePhotograph, type PhotographOf } from './usePhotograph'

/** Takes a photograph, or several that are there already. */
export function TakePhotograph({ label, ...of }: PhotographOf & { readonly label: string }) {
  const { taken, takeAll } = usePhotograph(of)
  return (
    <span className="take-photograph">
      <PictureInput className="btn btn-outline-secondary" take={takeAll}>
        <Camera aria-hidden size={18} /> {label}
      </PictureInput>
      <span role="status" className="soft">
        {taken && takenWords[taken]}
      </span>
    </span>
  )
}
