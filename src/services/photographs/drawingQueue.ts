/** So many pictures are drawn at a time, and so many more wait. */
const maxDrawing = 2
const maxWaiting = 30

/** Too many pictures wait already; the device keeps this one and sends it again. */
export class DrawingQueueFull extends Error {
  constructor() {
    super('too many pictures wait')
    this.name = 'DrawingQueueFull'
  }
}

/** Known by its name: the framework bundles modules more than once. */
export const isDrawingQueueFull = (error: unknown): boolean =>
  error instanceof Error && error.name === 'DrawingQueueFull'

interface Queue {
  drawing: number
  readonly waiting: (() => void)[]
}
const shared = globalThis as typeof globalThis & { evenSpokeDrawing?: Queue }
const queue: Queue = (shared.evenSpokeDrawing ??= { drawing: 0, waiting: [] })

/**
 * Draws when it is this picture's turn. Decoding takes the threads that also put taps on the disk.
 * @throws DrawingQueueFull if too many wait
 */
export async function inTurn<T>(draw: () => Promise<T>): Promise<T> {
  if (queue.drawing >= maxDrawing) {
    if (queue.waiting.length >= maxWaiting) throw new DrawingQueueFull()
    await new Promise<void>((resolve) => queue.waiting.push(resolve))
  } else queue.drawing += 1
  try {
    return await draw()
  } finally {
    const next = queue.waiting.shift()
    if (next) next()
    else queue.drawing -= 1
  }
}
