'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import * as v from 'valibot'
import type { Problem } from '@/core/result'
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
): Promise<{ readonly problems: readonly Problem[]; readonly body: unknown }> {
  const answer = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/zip' },
    body: file,
  })
  return answer.ok
    ? { problems: [], body: await answer.json().catch(() => null) }
    : { problems: await refusalOf(answer), body: null }
}

/** What people call what lies in the tables that matter to them. */
const names: Record<string, string> = {
  vehicle: 'Vehicles',
  wheel_set: 'Wheel sets',
  visit: 'Visits in the log',
  job: 'Jobs',
  product: 'Products',
  tool: 'Tools',
  protection_layer: 'Layers of protection',
  look: 'Looks',
  photograph: 'Photographs',
  bottle: 'Bottles',
  reminder: 'Reminders',
}

/** Looks into a backup first, then puts it in the place of everything. */
export function RestorePanel() {
  const [file, setFile] = useState<File | null>(null)
  const [look, setLook] = useState<Look | null>(null)
  const [isDone, setDone] = useState(false)
  const { problems, busy, send } = useSending()
  const lookInto = (chosen: File): void =>
    send(async () => {
      setDone(false)
      setLook(null)
      setFile(chosen)
      const answer = await sent('/api/backup/look', chosen)
      const read = v.safeParse(lookShape, answer.body)
      if (answer.problems.length === 0 && read.success) setLook(read.output)
      return { problems: answer.problems.length > 0 || read.success ? answer.problems : [notUnderstood] }
    })
  const putInPlace = (): void =>
    send(
      async () => (file ? sent('/api/backup/restore', file) : { problems: [] }),
      () => {
        setDone(true)
        setLook(null)
      },
    )
  return (
    <>
      <Form.Group controlId="backup-file">
        <Form.Label>Backup to look into</Form.Label>
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
      {isDone && <p role="status">It is in place. Everything shown from now on is from it.</p>}
      {look && (
        <div className="backup-look">
          <p>
            Made {new Date(look.madeAt).toLocaleString()}. Nothing is changed yet; put in place it replaces
            all of this:
          </p>
          <table className="table">
            <thead>
              <tr>
                <th scope="col">What</th>
                <th scope="col" className="number">
                  Here now
                </th>
                <th scope="col" className="number">
                  In it
                </th>
              </tr>
            </thead>
            <tbody>
              {look.tables
                .filter(({ name }) => names[name])
                .map(({ name, here, inBackup }) => (
                  <tr key={name}>
                    <td>{names[name]}</td>
                    <td className="number">{here}</td>
                    <td className="number">{inBackup ?? '–'}</td>
                  </tr>
                ))}
            </tbody>
          </table>
          <Button disabled={busy} onClick={putInPlace}>
            {busy ? 'Putting it in place …' : 'Put it in place of everything here'}
          </Button>
        </div>
      )}
    </>
  )
}
