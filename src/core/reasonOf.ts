import { showFound } from './result'

/** What the database engine says when it ends itself; it tells a person nothing. */
const engineEnded = /^(RuntimeError: )?(Aborted\(|unreachable|memory access out of bounds)/

/** Why something failed, in words for a person, whatever was thrown. */
export function reasonOf(error: unknown): string {
  if (error instanceof Error || (typeof error === 'object' && error !== null && 'message' in error)) {
    const text = String(error.message).trim()
    if (engineEnded.test(text)) return 'the database engine stopped in the middle of it'
    return text === '' ? 'no reason was given' : text
  }
  return typeof error === 'string' && error.trim() !== '' ? error : showFound(error)
}
