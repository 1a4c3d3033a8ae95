'use client'

import { useRouter } from 'next/navigation'
import { useEffect } from 'react'

/** Who goes back to a page sees what it is now, not what it was. */
export function CameBack() {
  const router = useRouter()
  useEffect(() => {
    const look = () => router.refresh()
    window.addEventListener('popstate', look)
    return () => window.removeEventListener('popstate', look)
  }, [router])
  return null
}
