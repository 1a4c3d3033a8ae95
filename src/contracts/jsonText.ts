import { reasonOf } from '@/core/reasonOf'
import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'

/** No file of ours is nested so deep; what is would run other readers out of their stack. */
const deepest = 60

/** How deep a JSON text is nested, by its brackets outside of texts. */
function depthOf(text: string): number {
  let [depth, most, isText] = [0, 0, false]
  for (let at = 0; at < text.length; at += 1) {
    const sign = text.charCodeAt(at)
    if (isText) {
      if (sign === 0x5c) at += 1
      else if (sign === 0x22) isText = false
    } else if (sign === 0x22) isText = true
    else if (sign === 0x7b || sign === 0x5b) most = Math.max(most, (depth += 1))
    else if (sign === 0x7d || sign === 0x5d) depth -= 1
  }
  return most
}

/** Reads JSON as somebody's program wrote it, with or without a byte order mark in front. */
export function readJsonText(text: string): Result<unknown> {
  const depth = depthOf(text)
  if (depth > deepest)
    return fail({
      path: '',
      found: message('problems.file.depth', { depth }),
      fix: message('problems.file.tooDeep', { deepest }),
    })
  try {
    return succeed(JSON.parse(text.replace(/^\uFEFF/, '')) as unknown)
  } catch (error) {
    return fail({
      path: '',
      found: JSON.stringify(text.slice(0, 40)),
      fix: message('problems.file.notJson', { reason: reasonOf(error).slice(0, 120) }),
    })
  }
}
