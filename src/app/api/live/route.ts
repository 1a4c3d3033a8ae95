import { problemAnswer } from '@/app/problemAnswer'
import { message } from '@/core/message/message'
import { headers } from 'next/headers'
import { database } from '@/services/records'
import { callerHeaders } from '@/access-control/caller'
import { addStream, feedOf, type NumberedChange } from '@/services/live'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** A line now and then shows both ends that the other is there, ms. */
const breathMilliseconds = 15_000
/** A device that has to come back waits so long, ms. */
const comeBackMilliseconds = 1000
const busySeconds = 5

/** So many events wait for who reads slowly. */
const maxUntaken = 500

const encoder = new TextEncoder()
/** An event as the standard writes it (HTML, Server-sent events). */
const written = ({ id, topic, of }: NumberedChange): Uint8Array =>
  encoder.encode(`id: ${id}\ndata: ${JSON.stringify({ topic, of })}\n\n`)

/**
 * What changes from now on, as server-sent events: of one job where one is named, and of everything else. Who comes back with the
 * last id, or asks from a place on (`since`), gets what was missed. A device that is put out is told nothing more.
 */
export const GET = route('bay', async (request) => {
  const asked = request.nextUrl.searchParams.get('job')
  const device = (await headers()).get(callerHeaders.device) ?? 'desk'
  const feed = await feedOf(await database())
  const isOwn = ({ topic, of }: NumberedChange): boolean =>
    topic !== 'device' && (topic !== 'job' || of === asked || asked === null)
  const last = request.headers.get('last-event-id') ?? request.nextUrl.searchParams.get('since')
  let close = (): void => undefined
  const remove = addStream(device, () => close())
  if (!remove)
    return problemAnswer(
      503,
      [{ path: '', found: message('problems.live.found'), fix: message('problems.live.tooMany') }],
      busySeconds,
    )
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      controller.enqueue(encoder.encode(`retry: ${comeBackMilliseconds}\nid: ${feed.place}\n\n`))
      for (const change of feed.since(last)) if (isOwn(change)) controller.enqueue(written(change))
      const quiet = feed.hear((change) => {
        // Who takes nothing any more comes back for it.
        const isStuck = (controller.desiredSize ?? 0) < -maxUntaken
        // Where something was missed, a device may have been revoked: it comes back, and is checked then.
        const isMissed = change.topic === 'all' && device !== 'desk'
        if (isMissed) controller.enqueue(written(change))
        if (isStuck || isMissed || (change.topic === 'device' && change.of === device)) close()
        else if (isOwn(change)) controller.enqueue(written(change))
      })
      const breath = setInterval(() => controller.enqueue(encoder.encode(': here\n\n')), breathMilliseconds)
      let isOpen = true
      close = () => {
        if (!isOpen) return
        isOpen = false
        clearInterval(breath)
        quiet()
        remove()
        controller.close()
      }
      request.signal.addEventListener('abort', close)
      if (request.signal.aborted) close()
    },
    cancel: () => close(),
  })
  return new Response(body, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      // Nothing on the way may gather it.
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
    },
  })
})
