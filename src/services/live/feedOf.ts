import { randomUUID } from 'node:crypto'
import type { Database } from '@/data/database'
import { LiveFeed } from './liveFeed'

/** Next bundles modules more than once; a process needs one only. */
const shared = globalThis as typeof globalThis & { evenSpokeFeeds?: WeakMap<Database, Promise<LiveFeed>> }
const feeds = (shared.evenSpokeFeeds ??= new WeakMap())

/** The feed of a database's changes, whichever process made them. */
export function feedOf(database: Database): Promise<LiveFeed> {
  const known = feeds.get(database)
  if (known) return known
  const feed = new LiveFeed(randomUUID().slice(0, 8))
  const listening = database.listen((said) => feed.take(said)).then(() => feed)
  feeds.set(database, listening)
  listening.catch(() => feeds.delete(database))
  return listening
}
