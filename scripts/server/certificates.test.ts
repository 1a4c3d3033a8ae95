import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { connect } from 'node:tls'
import { X509Certificate } from 'node:crypto'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'

interface Certificates {
  readonly key: string
  readonly certificate: string
  readonly authority: string
  readonly isNew: boolean
}
const { certificatesFor } = (await import('./certificates.mjs' as string)) as {
  certificatesFor(
    folder: string,
    names: string[],
    now?: number,
    say?: (text: string) => void,
  ): Promise<Certificates>
}

const day = 86_400_000
const names = ['192.168.7.20', 'fd00::12', 'bench-desk.local', 'localhost', '127.0.0.1']
let folder = ''
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'even-spoke-certificates-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** Whether a browser that trusts the authority alone takes the certificate under a name. */
function isTaken({ key, certificate, authority }: Certificates, name: string): Promise<true | string> {
  return new Promise((resolve) => {
    const server = createServer({ key, cert: certificate }).listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo
      const socket = connect({ port, host: '127.0.0.1', ca: authority, servername: name }, () => end(true))
      socket.on('error', (error: Error) => end(error.message))
      const end = (result: true | string) => {
        socket.destroy()
        server.close(() => resolve(result))
      }
    })
  })
}

describe('the certificate of the shop', () => {
  it('is taken under its names by who trusts the authority, and kept', async () => {
    const made = await certificatesFor(folder, names)
    expect(await isTaken(made, 'bench-desk.local')).toBe(true)
    const again = await certificatesFor(folder, names)
    expect(again).toEqual({ ...made, isNew: false })
  })

  it('of another site is not taken, although the same authority signed it', async () => {
    const { authority } = await certificatesFor(folder, names)
    const stolen = JSON.parse(readFileSync(join(folder, 'authority.json'), 'utf8')) as { allowed: unknown }
    // Whoever has the key may say what it likes in its own file; the certificate that phones trust says otherwise.
    writeFileSync(
      join(folder, 'authority.json'),
      JSON.stringify({ ...stolen, allowed: { hosts: ['bank.example'], networks: [] } }),
    )
    const forged = await certificatesFor(folder, ['bank.example'])
    expect(forged.authority).toBe(authority)
    expect(await isTaken(forged, 'bank.example')).toContain('permitted subtree violation')
  })

  it('for a new private address keeps its authority; for another name that is made anew, and said', async () => {
    const before = await certificatesFor(folder, names)
    const moved = await certificatesFor(folder, [...names, '10.3.2.1'])
    expect([moved.isNew, moved.authority]).toEqual([true, before.authority])
    const said: string[] = []
    const renamed = await certificatesFor(folder, [...names, 'shop.example'], Date.now(), (text) =>
      said.push(text),
    )
    expect(renamed.authority).not.toBe(before.authority)
    expect(said.join()).toContain('trust it again')
  })

  it('made while the clock was a year ahead is made anew', async () => {
    const ahead = await certificatesFor(folder, names, Date.now() + 365 * day)
    const now = await certificatesFor(folder, names)
    expect(now.certificate).not.toBe(ahead.certificate)
    for (const pem of [now.certificate, now.authority])
      expect(new Date(new X509Certificate(pem).validFrom).getTime()).toBeLessThanOrEqual(Date.now())
  })

  it.each(['authority.json', 'certificate.json'])(
    'is made anew where %s is junk, and that is said',
    async (file) => {
      await certificatesFor(folder, names)
      writeFileSync(join(folder, file), '{"key": "nonsen')
      const said: string[] = []
      const fixed = await certificatesFor(folder, names, Date.now(), (text) => said.push(text))
      expect(said[0]).toContain(`${file} can’t be read`)
      expect(await isTaken(fixed, 'bench-desk.local')).toBe(true)
    },
  )
})
