import { fail, succeed, type Result } from '@/core/result'

/** Reads JSON as somebody's program wrote it, with or without a byte order mark in front. */
export function readJsonText(text: string): Result<unknown> {
  try {
    return succeed(JSON.parse(text.replace(/^\uFEFF/, '')) as unknown)
  } catch (error) {
    return fail({
      path: '',
      found: JSON.stringify(text.slice(0, 40)),
      mend: `This is not JSON: ${error instanceof Error ? error.message.slice(0, 120) : 'it cannot be parsed'}.`,
    })
  }
}
