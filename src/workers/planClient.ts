import { wrap, type Remote } from 'comlink'
import type { Result } from '@/core/result'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'

interface PlanWorker {
  planFromFile(file: JobFile): Result<PlanFile>
}

/** Longer than this and the worker is taken for stuck: it is ended and started anew, ms. */
const longestMilliseconds = 20_000

/** The search on a thread of its own. A wish that comes while one is being worked out replaces the one before it. */
export class PlanClient {
  private worker: Worker | null = null
  private remote: Remote<PlanWorker> | null = null
  private newest = 0

  private start(): Remote<PlanWorker> {
    if (!this.remote) {
      this.worker = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' })
      this.remote = wrap<PlanWorker>(this.worker)
    }
    return this.remote
  }

  stop(): void {
    this.worker?.terminate()
    this.worker = null
    this.remote = null
  }

  /** The plan, or null when a newer wish came meanwhile. Throws when the worker failed twice. */
  async plan(file: JobFile, isRetry = false): Promise<Result<PlanFile> | null> {
    const mine = isRetry ? this.newest : ++this.newest
    const remote = this.start()
    let timer: ReturnType<typeof setTimeout> | undefined
    try {
      const stuck = new Promise<never>((_, reject) => {
        timer = setTimeout(() => reject(new Error('The plan took too long.')), longestMilliseconds)
      })
      const failed = new Promise<never>((_, reject) => {
        if (this.worker) this.worker.onerror = (event) => reject(new Error(event.message))
      })
      const result = await Promise.race([remote.planFromFile(file), stuck, failed])
      return mine === this.newest ? result : null
    } catch (error) {
      this.stop()
      if (mine !== this.newest) return null
      if (isRetry) throw error
      return this.plan(file, true)
    } finally {
      clearTimeout(timer)
    }
  }
}
