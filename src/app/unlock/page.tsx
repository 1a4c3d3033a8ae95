import type { Metadata } from 'next'
import { UnlockForm } from '@/ui/pairing/UnlockForm'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Locked' }

export default function UnlockPage() {
  return (
    <>
      <header className="place-head">
        <div>
          <h1>This desk is locked</h1>
          <p className="lead-text">What was set in Settings opens it until the browser is closed.</p>
        </div>
      </header>
      <UnlockForm />
    </>
  )
}
