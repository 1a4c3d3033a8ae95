'use client'

import { useState } from 'react'
import type { NewSetOwner, WheelSetInput } from '@/contracts/wheelSet'
import type { SaidProblem } from '@/i18n/saidProblems'
import { newId } from '../newId'
import { WheelSetForm } from './WheelSetForm'

interface NewWheelSetProps {
  readonly save: (
    id: string,
    owner: NewSetOwner,
    input: WheelSetInput,
  ) => Promise<{ readonly problems: readonly SaidProblem[] }>
}

/** The form of a new set. Its id is made here, so that a set sent twice is stored once. */
export function NewWheelSet({ save }: NewWheelSetProps) {
  const [id] = useState(newId)
  return (
    <WheelSetForm
      draftName="wheel-set.new"
      version={0}
      save={(input, owner) => save(id, owner, input)}
      cancelHref="/wheels"
    />
  )
}
