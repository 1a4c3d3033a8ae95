'use client'

import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import * as v from 'valibot'
import type { SaidProblem } from '@/i18n/saidProblems'
import { notUnderstood, refusalOf } from '../form/refusal'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'

const lookShape = v.object({
  madeAt: v.string(),
  tables: v.array(v.object({ name: v.string(), inBackup: v.nullable(v.number()), here: v.number() })),
})
type Look = v.InferOutput<typeof lookShape>
async function sent(
  path: string,
  file: File,
  t: Translator,
): Promise<{ readonly problems: readonly SaidProblem[]; readonly body: unknown }> {
  const answer = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/zip' },
    body: file,
  })
  return answer.ok
    ? { problems: [], body: await answer.json().catch(() => null) }
    : { problems: await refusalOf(answer, t), body: null }
}

/** The tables that matter to people; each has a name in the messages. */
const tables = [
  'vehicle',
  'wheel_set',
  'visit',
  'job',
  'product',
  'tool',
  'protection_layer',
  'look',
  'photograph',
  'bottle',
  'reminder',
] as const

/** Looks into a backup first, then puts it in the place of everything. */
export function RestorePanel() {
  const t = useTranslations()

  const [file, setFile] = useState<File | null>(null)
  const [look, setLook] = useState<Look | null>(null)
  const [isDone, setDone] = useState(false)
  const { problems, busy, send } = useSending()
  const lookInto = (chosen: File): void =>
    send(async () => {
      setDone(false)
      setLook(null)
      setFile(chosen)
      const answer = await sent('/api/backup/look', chosen, t)
      const read = v.safeParse(lookShape, answer.body)
      if (answer.problems.length === 0 && read.success) setLook(read.output)
      return { problems: answer.problems.length > 0 || read.success ? answer.problems : [notUnderstood(t)] }
    })
  const putInPlace = (): void =>
    send(
      async () => (file ? sent('/api/backup/restore', file, t) : { problems: [] }),
      () => {
        setDone(true)
        setLook(null)
      },
    )
  return (
    <>
      <Form.Group controlId="backup-file">
        <Form.Label>{t('settings.backups.restore.file')}</Form.Label>
        <Form.Control
          type="file"
          accept=".zip,application/zip"
          disabled={busy}
          onChange={(event) => {
            const [chosen] = (event.target as HTMLInputElement).files ?? []
            if (chosen) lookInto(chosen)
          }}
        />
      </Form.Group>
      <ProblemAlert problems={problems} />
      {isDone && <p role="status">{t('settings.backups.restore.done')}</p>}
      {look && (
        <div className="backup-look">
          <p>{t('settings.backups.restore.preview', { made: new Date(look.madeAt).toLocaleString() })}</p>
          <table className="table">
            <thead>
              <tr>
                <th scope="col">{t('settings.backups.restore.columns.what')}</th>
                <th scope="col" className="number">
                  {t('settings.backups.restore.columns.now')}
                </th>
                <th scope="col" className="number">
                  {t('settings.backups.restore.columns.then')}
                </th>
              </tr>
            </thead>
            <tbody>
              {tables.map((table) => {
                const counts = look.tables.find(({ name }) => name === table)
                return (
                  counts && (
                    <tr key={table}>
                      <td>{t(`settings.backups.restore.tables.${table}`)}</td>
                      <td className="number">{counts.here}</td>
                      <td className="number">{counts.inBackup ?? '–'}</td>
                    </tr>
                  )
                )
              })}
            </tbody>
          </table>
          <Button disabled={busy} onClick={putInPlace}>
            {busy ? t('settings.backups.restore.restoring') : t('settings.backups.restore.restore')}
          </Button>
        </div>
      )}
    </>
  )
}
