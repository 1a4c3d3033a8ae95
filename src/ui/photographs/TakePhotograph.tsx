'use client'

import { Camera } from 'lucide-react'
import { useId, useState } from 'react'
import type { Position } from '@/core/wheel/position'
import { enter } from '../outbox/deviceOutbox'
import type { Outcome } from '../outbox/waiting'
import { shrink } from './shrink'

interface TakePhotographProps {
  readonly wheelSetId: string
  readonly jobId?: string
  /** Of which wheels; empty: of the whole set. */
  readonly positions: readonly Position[]
  readonly label: string
  /** Opens the camera at once, where there is one. */
  readonly isCamera?: boolean
}

const said: Record<Outcome['kind'], string> = {
  stored: 'Photograph kept.',
  unreachable: 'Photograph kept on this device; it goes on once the program answers.',
  shutOut: 'Photograph kept on this device.',
  refused: 'The photograph was not taken; see above.',
}
const unreadable = 'This file is no picture that the browser can read; choose a JPEG or PNG file.'

/** Takes a photograph, or several that are there already. Without any network it waits on the device. */
export function TakePhotograph({ wheelSetId, jobId, positions, label, isCamera }: TakePhotographProps) {
  const id = useId()
  const [words, setWords] = useState('')
  const take = async (file: File): Promise<string> => {
    const jpeg = await shrink(file)
    if (!jpeg) return unreadable
    // One that was taken before it is chosen is of then.
    const madeAt = Math.min(Date.now(), file.lastModified || Date.now())
    const outcome = await enter(
      { kind: 'photograph', wheelSetId, jobId: jobId ?? null, positions, jpeg },
      madeAt,
    )
    return said[outcome.kind]
  }
  const takeAll = async (files: readonly File[]): Promise<void> => {
    setWords('Keeping it …')
    const all: string[] = []
    for (const file of files) all.push(await take(file))
    setWords([...new Set(all)].join(' '))
  }
  return (
    <span className="take-photograph">
      <input
        id={id}
        type="file"
        accept="image/*"
        className="visually-hidden"
        multiple={!isCamera}
        capture={isCamera ? 'environment' : undefined}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])]
          event.target.value = ''
          if (files.length > 0) void takeAll(files)
        }}
      />
      <label htmlFor={id} className="btn btn-outline-secondary">
        <Camera aria-hidden size={18} /> {label}
      </label>
      <span role="status" className="soft">
        {words}
      </span>
    </span>
  )
}
