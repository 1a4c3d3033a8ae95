'use client'

import { useEffect } from 'react'

/** Marks the page once it hears taps; drawn by the server it does not yet. */
export function LiveMark() {
  useEffect(() => {
    document.documentElement.dataset.live = 'true'
  }, [])
  return null
}
