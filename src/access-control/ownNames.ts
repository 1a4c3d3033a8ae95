/** Names under which the machine is reached without any network. */
const loopbackNames = ['localhost', '127.0.0.1', '[::1]']

/** The name of a Host header without its port; null where it is none. */
export function nameOf(host: string | null): string | null {
  const match = /^(\[[0-9a-f:.]+\]|[a-z0-9._-]+)(?::\d{1,5})?$/i.exec(host ?? '')
  return match?.[1]?.toLowerCase() ?? null
}

/**
 * Whether a Host header names this program. Any other name has been made to point here from outside (DNS rebinding), so it is not
 * answered.
 * @param more names and addresses beside the loopback, as the start script found them
 */
export function isOwnName(host: string | null, more: readonly string[]): boolean {
  const name = nameOf(host)
  return name !== null && (loopbackNames.includes(name) || more.includes(name))
}

/** Names in a comma-separated text. */
export const namesIn = (text: string | undefined): string[] =>
  (text ?? '')
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter((name) => name !== '')
