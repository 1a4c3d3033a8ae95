'use client'

import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import { bold } from '@/i18n/rich'
import { useState } from 'react'
import type { Result } from '@/core/result'
import { deviceRoles, type DeviceRole } from '@/access-control/roles'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'

interface Code {
  readonly code: string
  readonly qr: string
  readonly address: string
  readonly expiresAt: Date
}

/** A code for one device: what it may do is chosen here, not there. */
export function PairingPanel({
  begin,
}: {
  readonly begin: (input: unknown) => Promise<Result<Code, string>>
}) {
  const formats = useFormats()
  const t = useTranslations()

  const [code, setCode] = useState<Code | null>(null)
  const { problems, busy, send } = useSending()
  const ask = (role: DeviceRole): void =>
    send(async () => {
      const answer = await begin({ role })
      if (!answer.ok) return { problems: answer.problems }
      setCode(answer.value)
      return { problems: [] }
    })
  return (
    <>
      <div className="chips">
        {[...deviceRoles].reverse().map((role) => (
          <button
            key={role}
            type="button"
            className="btn btn-outline-secondary"
            disabled={busy}
            onClick={() => ask(role)}
          >
            {t(`access.roles.${role}.choice`)}
          </button>
        ))}
      </div>
      <ProblemAlert problems={problems} />
      {code && (
        <div className="pair-code" role="status">
          <div
            className="pair-qr"
            role="img"
            aria-label={t('access.pairing.codeLabel')}
            dangerouslySetInnerHTML={{ __html: code.qr }}
          />
          <div>
            <p className="pair-spoken">{code.code}</p>
            <p>
              {t.rich('access.pairing.open', {
                b: bold,
                address: code.address,
                time: formats.timeOfDay(code.expiresAt),
              })}
            </p>
          </div>
        </div>
      )}
    </>
  )
}
