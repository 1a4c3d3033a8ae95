'use client'

import { useRouter } from 'next/navigation'
import { useEffect } from 'react'
import { whenThere } from '../live/whenThere'

/** Who goes back to a page sees what it is now, not what it was. */
export function CameBack() {
  const router = useRouter()
  useEffect(() => {
    const look = () => void whenThere(() => router.refresh())
    window.addEventListener('popstate', look)
    return () => window.removeEventListener('popstate', look)
  }, [router])
  return null
}
