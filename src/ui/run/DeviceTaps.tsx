'use client'

import { currentTime } from '@/clock'
import { CloudOff } from 'lucide-react'
import { usePathname } from 'next/navigation'
import { useEffect, useState } from 'react'
import { deviceStore, forgetTap, keptTaps } from './pendingTaps'
import { sendTap } from './sendTap'

const retryMilliseconds = 3000
/** A tap this old is of no tab that is still sending it, ms. */
const leftMilliseconds = 4000

/** Sends what is left, job by job and in order. Gives how many still wait, and what was refused for good. */
async function sendLeft(openJobId: string | undefined): Promise<{ waiting: number; refused: string | null }> {
  const store = deviceStore()
  const left = () =>
    keptTaps(store).filter(
      ({ jobId, at }) =>
        jobId !== openJobId && Math.abs(currentTime().getTime() - Date.parse(at)) > leftMilliseconds,
    )
  let refused: string | null = null
  for (const tap of left()) {
    const answer = await sendTap(tap.jobId, tap)
    if (answer.kind === 'unreachable') break
    if (answer.kind === 'refused') refused = answer.mend
    forgetTap(store, tap.requestId)
  }
  return { waiting: left().length, refused }
}

/** Taps of jobs that are not open here any more still reach the server, from whichever page is open. */
export function DeviceTaps() {
  const openJobId = /^\/jobs\/([^/]+)\/run/.exec(usePathname())?.[1]
  const [{ waiting, refused }, setState] = useState<{ waiting: number; refused: string | null }>({
    waiting: 0,
    refused: null,
  })
  useEffect(() => {
    let isGone = false
    let busy = false
    const look = async (): Promise<void> => {
      if (busy || keptTaps(deviceStore()).length === 0) return
      busy = true
      const next = await sendLeft(openJobId)
      busy = false
      if (!isGone) setState((known) => ({ waiting: next.waiting, refused: next.refused ?? known.refused }))
    }
    const now = () => void look()
    now()
    const timer = setInterval(now, retryMilliseconds)
    window.addEventListener('online', now)
    return () => {
      isGone = true
      clearInterval(timer)
      window.removeEventListener('online', now)
    }
  }, [openJobId])
  if (waiting === 0 && refused === null) return null
  return (
    <p className="device-taps" role="status">
      <CloudOff aria-hidden size={16} />{' '}
      {waiting > 0
        ? `${waiting} ${waiting === 1 ? 'tap of a job in the bay waits' : 'taps of jobs in the bay wait'} on this device for the program to answer.`
        : `A tap of a job in the bay was not taken: ${refused}`}
    </p>
  )
}
