import type { LiveTopic } from '@/contracts/live'
import { LiveRefresh } from '@/ui/live/LiveRefresh'
import { livePlace } from '../access'

/** Keeps a page as things are, from what it was drawn with on: also what changes before it listens. */
export async function Live({ topics }: { readonly topics: readonly LiveTopic[] }) {
  return <LiveRefresh topics={topics} place={await livePlace()} />
}
