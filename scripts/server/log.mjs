// What happened, one JSON object a line with its level, in the data folder: for whoever looks after the machine. It holds no names, no
// texts that people typed and no secrets.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import pino from 'pino'
import { createStream } from 'rotating-file-stream'

/** So much a file, and so many of them. */
const fileSize = '2M'
const files = 8
/** Slower than this is worth knowing, ms. */
const slowMilliseconds = 2000
/** Answers that say that somebody was not let do something. */
const refused = [401, 403, 413, 421, 429]

const uuid = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/gi

/** An address without what it asks for, and without what tells of whom or opens something. */
export const plainPath = (url) =>
  (url ?? '')
    .replace(/[?#].*$/s, '')
    .replace(uuid, ':id')
    .replace(/^\/api\/calendar\/[^/]+$/, '/api/calendar/:secret')
    .replace(/^\/cabinet\/(?!import$|new$|tools)[^/]+$/, '/cabinet/:id')
    .replace(/^\/cabinet\/tools\/(?!new$)[^/]+$/, '/cabinet/tools/:id')
    .slice(0, 120)

/** Where an error was thrown, without what it says: that may hold what somebody typed. */
export const plainError = (error) => ({
  name: error?.name ?? typeof error,
  ...(typeof error?.code === 'string' ? { code: error.code } : {}),
  at: String(error?.stack ?? '')
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 6)
    .map((line) => line.trim()),
})

/** Opens the log of a data folder; where that cannot be written the program runs without one. */
export function openLog(folder) {
  try {
    const path = join(folder, 'logs')
    mkdirSync(path, { recursive: true })
    const stream = createStream('even-spoke.log', { path, size: fileSize, maxFiles: files })
    stream.on('error', () => undefined)
    return pino(
      { base: null, timestamp: pino.stdTimeFunctions.isoTime, formatters: { level: (level) => ({ level }) } },
      stream,
    )
  } catch {
    return pino({ enabled: false })
  }
}

/**
 * Takes down a request that failed, was refused or was slow.
 * @param ended comes once the request is answered or given up
 */
export function logAnswer(log, request, response, door, ended) {
  const began = performance.now()
  void ended.then(() => {
    const milliseconds = Math.round(performance.now() - began)
    const entry = {
      door,
      method: request.method,
      path: plainPath(request.url),
      status: response.statusCode,
      milliseconds,
    }
    if (response.statusCode >= 500) log.error(entry, 'failed')
    else if (refused.includes(response.statusCode)) log.warn(entry, 'refused')
    else if (milliseconds > slowMilliseconds && !entry.path.startsWith('/api/live')) log.info(entry, 'slow')
  })
}
