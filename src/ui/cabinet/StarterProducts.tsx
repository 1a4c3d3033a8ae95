'use client'

import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { FamilyId } from '@/core/chemistry/families'
import { starterCabinet, usualStart } from '@/core/chemistry/starterCabinet'
import { ProblemAlert } from '../form/ProblemAlert'
import type { FormAction } from '../form/formAction'
import { useSending } from '../form/useSending'

/** For a cabinet with nothing in it: products to start with, taken over by name and corrected later. */
export function StarterProducts({ add }: { readonly add: FormAction<readonly FamilyId[]> }) {
  const t = useTranslations()
  const [chosen, setChosen] = useState<readonly FamilyId[]>(usualStart)
  const { problems, busy, send } = useSending()
  const toggle = (family: FamilyId): void =>
    setChosen(chosen.includes(family) ? chosen.filter((one) => one !== family) : [...chosen, family])
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        send(() => add(chosen))
      }}
    >
      <p className="py-2">{t('cabinet.starter.explained')}</p>
      <ProblemAlert problems={problems} />
      <Button type="submit" disabled={busy || chosen.length === 0}>
        {busy ? t('common.saving') : t('cabinet.starter.add', { count: chosen.length })}
      </Button>
      <ul className="rows starter-products mt-3">
        {starterCabinet.map(({ family, name }) => (
          <li key={family} className="row-item">
            <Form.Check
              id={`starter-${family}`}
              label={name}
              checked={chosen.includes(family)}
              onChange={() => toggle(family)}
            />
            <span className="soft">{t(`terms.familyPurpose.${family}`)}</span>
          </li>
        ))}
      </ul>
    </form>
  )
}
