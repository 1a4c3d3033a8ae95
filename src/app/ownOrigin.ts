import { headers } from 'next/headers'

/** Where the server reaches itself; only the loopback is ever named. */
export async function ownOrigin(): Promise<string> {
  const port = (await headers()).get('host')?.match(/:(\d+)$/)?.[1] ?? process.env.PORT ?? '3000'
  return `http://127.0.0.1:${port}`
}
