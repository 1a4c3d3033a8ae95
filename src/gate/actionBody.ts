import type { Refused } from './siteCheck'

/** Larger than any form; imports come as text within it. */
const mostBytes = 4_500_000

const unreadable = (found: string): Omit<Refused, 'status'> & { readonly status: 400 | 413 | 415 } => ({
  status: 400,
  found,
  mend: 'Send what a form of this program sends.',
})

/**
 * Why what was sent to an action of a page cannot be taken; null: it can. The framework itself fails on what it cannot read.
 * @param body a copy of the request; the framework reads its own
 */
export async function actionRefusal(body: Request): Promise<ReturnType<typeof unreadable> | null> {
  const type = body.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase() ?? ''
  if (!body.headers.has('next-action')) return { ...unreadable(type.slice(0, 60)), status: 415 }
  const length = Number(body.headers.get('content-length') ?? 0)
  if (length > mostBytes) return { ...unreadable(`${length} bytes`), status: 413 }
  try {
    if (type === 'multipart/form-data') {
      await body.formData()
      return null
    }
    const text = await body.text()
    if (text.length > mostBytes) return { ...unreadable(`${text.length} bytes`), status: 413 }
    return Array.isArray(JSON.parse(text)) ? null : unreadable('no list of arguments')
  } catch {
    return unreadable('a body that cannot be read')
  }
}
