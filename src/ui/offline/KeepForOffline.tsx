'use client'

import { useEffect, useState } from 'react'
import { isKeptFile, jobPages, keptFiles } from '@/offline/caches'

/** Files this page has loaded so far, which the worker had no hand in before it was there. */
const loadedFiles = (): string[] =>
  performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter((name) => name.startsWith(location.origin) && isKeptFile(new URL(name)))

/** Puts the page and its files on the device. */
async function keepHere(): Promise<void> {
  await navigator.serviceWorker.register('/sw.js')
  await navigator.serviceWorker.ready
  const [files, pages] = await Promise.all([caches.open(keptFiles), caches.open(jobPages)])
  const known = new Set((await files.keys()).map(({ url }) => url))
  await files.addAll(loadedFiles().filter((url) => !known.has(url)))
  await pages.add(location.pathname)
}

/** Keeps an open job or look on the device, so that it can be worked to its end without any network. */
export function KeepForOffline() {
  const [isKept, setKept] = useState(false)
  useEffect(() => {
    if (!('serviceWorker' in navigator) || !isSecureContext) return
    let gone = false
    keepHere().then(
      () => {
        if (!gone) setKept(true)
      },
      // Without it the bay works as long as there is a network.
      () => undefined,
    )
    return () => {
      gone = true
    }
  }, [])
  return <span hidden data-kept-offline={isKept} />
}
