import { useEffect, useState } from 'react'
import * as v from 'valibot'
import { knownVehicles, type KnownVehicle } from '@/contracts/wheelSet'

/** People type on; only a rest is asked about, ms. */
const restMilliseconds = 250

/** Vehicles that the shop knows with this text in their name; none without network, and then saving asks. */
export function useKnownVehicles(name: string, isAsked: boolean): readonly KnownVehicle[] {
  const [known, setKnown] = useState<readonly KnownVehicle[]>([])
  const text = isAsked ? name.trim() : ''
  useEffect(() => {
    if (text === '') return
    const asking = new AbortController()
    const rest = setTimeout(() => {
      fetch(`/api/vehicles?${new URLSearchParams({ name: text }).toString()}`, { signal: asking.signal })
        .then((answer) => answer.json())
        .then((body: unknown) => setKnown(v.parse(knownVehicles, body).vehicles))
        .catch(() => undefined)
    }, restMilliseconds)
    return () => {
      clearTimeout(rest)
      asking.abort()
    }
  }, [text])
  return text === '' ? [] : known
}
