'use client'

import type { NewSetOwner, WheelSetInput } from '@/contracts/wheelSet'
import type { FormAnswer } from '../form/formAction'
import { WheelSetForm } from './WheelSetForm'

interface NewWheelSetProps {
  readonly save: (id: string, owner: NewSetOwner, input: WheelSetInput) => Promise<FormAnswer>
}

/** The form of a new set. Its id is that of what is sent, so that a set sent twice is stored once. */
export function NewWheelSet({ save }: NewWheelSetProps) {
  return (
    <WheelSetForm
      of="new"
      version={0}
      save={(input, owner, id) => save(id, owner, input)}
      cancelHref="/wheels"
    />
  )
}
