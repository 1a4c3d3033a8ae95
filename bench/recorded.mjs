// Requests as people's browsers send them, recorded while the interface tests run, and what becomes of them when a part is changed.
import { randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bin, node } from '../scripts/lib/run.mjs'

/** Tests that use every form, route and action of the program. */
const specs = [
  'due',
  'judgement',
  'cabinet',
  'wheel-sets',
  'whole-job',
  'photographs',
  'routes',
  'order',
  'run',
  'backup',
]

/** Runs interface tests on a copy of the demo folder and gives the requests of their pages. */
export async function recordRequests(demoFolder) {
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-recorded-'))
  const file = join(folder, 'requests.jsonl')
  try {
    // A test that fails has recorded what it sent all the same.
    await node([bin.playwright, 'test', ...specs, '--reporter=dot'], {
      env: { EVEN_SPOKE_TEST_DEMO: demoFolder, RECORD_REQUESTS: file },
    })
    return readFileSync(file, 'utf8')
      .split('\n')
      .filter(Boolean)
      .map((line) => JSON.parse(line))
      .map(({ body, ...of }) => ({ ...of, body: body === null ? undefined : Buffer.from(body, 'base64') }))
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

const uuid = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g

/** Another value of the same type at its edge, or one of another type. */
function changedLeaf(at, value, anything) {
  if (at.below(4) === 0) return anything(at)
  switch (typeof value) {
    case 'number':
      return at.one([-value, value * 1e6, value + 0.5, 0, -1, 1e308, 2 ** 31, 2 ** 53, null, String(value)])
    case 'string':
      return at.one([
        '', value.slice(1), `${value}${value}`, `${value}\u0000`, `\ud800${value}`, value.toUpperCase(), value.repeat(200), `$${value}`, [value], { [value]: value },
        value.replaceAll(uuid, () => randomUUID()), Number(value), '9999-12-31T23:59:59.999Z', '-000001-01-01T00:00:00Z', '0000-00-00',
      ]) // prettier-ignore
    case 'boolean':
      return at.one([!value, null, 'true', 1])
    default:
      return anything(at)
  }
}

/** The value with one part of it changed, left out, doubled or added to. */
function changedPart(at, value, anything) {
  if (Array.isArray(value)) {
    if (value.length === 0 || at.below(5) === 0)
      return at.one([[], [...value, ...value], [...value, anything(at)], value.slice(1)])
    const index = at.below(value.length)
    return value.map((entry, each) => (each === index ? changedPart(at, entry, anything) : entry))
  }
  if (typeof value === 'object' && value !== null) {
    const keys = Object.keys(value)
    const key = keys.length > 0 ? at.one(keys) : 'more'
    switch (at.below(8)) {
      case 0: {
        const { [key]: _, ...rest } = value
        return rest
      }
      case 1:
        return { ...value, [`${key}2`]: anything(at) }
      default:
        return { ...value, [key]: changedPart(at, value[key], anything) }
    }
  }
  return changedLeaf(at, value, anything)
}

function changedText(at, text, anything) {
  try {
    let value = JSON.parse(text)
    for (let times = at.below(3); times >= 0; times -= 1) value = changedPart(at, value, anything)
    return JSON.stringify(value) ?? 'undefined'
  } catch {
    return at.one([
      text.slice(0, at.below(text.length + 1)),
      `${text}${text}`,
      text.replace(/[a-z]/, '\u0000'),
    ])
  }
}

function changedBody(at, body, type, anything) {
  const boundary = /boundary=([^;]+)/.exec(type)?.[1]
  if (!boundary) {
    if (/json|text\/plain/.test(type)) return Buffer.from(changedText(at, body.toString('utf8'), anything))
    const bytes = Buffer.from(body)
    if (bytes.length > 0) bytes[at.below(bytes.length)] = at.below(256)
    return at.below(3) === 0 ? bytes.subarray(0, at.below(bytes.length + 1)) : bytes
  }
  const parts = body.toString('latin1').split(`--${boundary}`)
  const index = at.below(parts.length)
  const changed = parts.map((part, each) => {
    const [head, ...rest] = part.split('\r\n\r\n')
    if (each !== index || rest.length === 0) return part
    const text = Buffer.from(rest.join('\r\n\r\n').replace(/\r\n$/, ''), 'latin1').toString('utf8')
    return `${head}\r\n\r\n${Buffer.from(changedText(at, text, anything)).toString('latin1')}\r\n`
  })
  if (at.below(12) === 0) changed.splice(index, 1)
  return Buffer.from(changed.join(`--${boundary}`), 'latin1')
}

/** A recorded request with something changed: a part of its body, an id, its action, its kind. */
export function changedRequest(at, { recorded, actions, ids }, words, anything) {
  const { method, path, headers, body } = at.one(recorded)
  const where = at.below(4) === 0 ? path.replaceAll(uuid, () => at.one(ids)) : path
  const [place, query] = where.split('?')
  const asked =
    query && at.below(3) === 0
      ? `${place}?${query.replace(/=[^&]*/, `=${encodeURIComponent(at.one(words).toWellFormed())}`)}`
      : where
  const type = headers['content-type'] ?? ''
  return {
    method,
    path: asked,
    body: body && at.below(8) > 0 ? changedBody(at, body, type, anything) : body,
    headers: {
      ...headers,
      ...(headers['next-action'] && at.below(6) === 0 ? { 'next-action': at.one(actions) } : {}),
      ...(type && at.below(20) === 0
        ? { 'content-type': at.one(['application/json', 'text/plain', 'multipart/form-data']) }
        : {}),
    },
  }
}
