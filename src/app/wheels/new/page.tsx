import type { Metadata } from 'next'
import { NewWheelSet } from '@/ui/wheel-set/NewWheelSet'
import { saveNewWheelSet } from '../actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'New wheel set' }

export default function NewWheelSetPage() {
  return (
    <>
      <header className="place-head">
        <h1>New wheel set</h1>
      </header>
      <NewWheelSet save={saveNewWheelSet} />
    </>
  )
}
