import { proxy, wrap, type Remote } from 'comlink'
import type { AwaySeconds } from '@/core/rescheduling/remaining'
import type { Resumed } from '@/core/rescheduling/resume'
import type { SettledStep } from '@/core/rescheduling/settledSteps'
import type { Plan } from '@/core/plan/plan'
import type { Result } from '@/core/result'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'
import type { PlanProtocol } from './planProtocol'
import { planOfAnswer, resumedOfAnswer } from './workerAnswers'

/** Longer than this and the worker is taken for stuck: it is ended and started anew, ms. */
const longestMilliseconds = 20_000

/** The search on a thread of its own. A wish that comes while one is being worked out replaces the one before it. */
export class PlanClient {
  private worker: Worker | null = null
  private remote: Remote<PlanProtocol> | null = null
  private newest = 0

  private start(): Remote<PlanProtocol> {
    if (!this.remote) {
      this.worker = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' })
      this.remote = wrap<PlanProtocol>(this.worker)
    }
    return this.remote
  }

  stop(): void {
    this.worker?.terminate()
    this.worker = null
    this.remote = null
  }

  /** The plan, or null when a newer wish came meanwhile. Throws when the worker failed twice. */
  plan(file: JobFile): Promise<Result<PlanFile> | null> {
    return this.ask(async (remote) => planOfAnswer(await remote.planFromFile(file)))
  }

  /** The order of what is left, or null when a newer question came meanwhile. Throws when the worker failed twice. */
  resume(
    file: JobFile,
    plan: Plan,
    settled: readonly SettledStep[],
    away: AwaySeconds,
  ): Promise<Resumed | null> {
    return this.ask(async (remote) => resumedOfAnswer(await remote.resumeFromFile(file, plan, settled, away)))
  }

  /** Looks on for a better order until it rests or `stop` ends the worker; tells of every better one. */
  async refine(file: JobFile, tell: (better: PlanFile) => void): Promise<void> {
    const remote = this.start()
    const told = proxy(tell)
    await remote.refineFromFile(file, told)
  }

  private async ask<T>(
    question: (remote: Remote<PlanProtocol>) => Promise<T>,
    isRetry = false,
  ): Promise<T | null> {
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
      const result = await Promise.race([question(remote), stuck, failed])
      return mine === this.newest ? result : null
    } catch (error) {
      this.stop()
      if (mine !== this.newest) return null
      if (isRetry) throw error
      return this.ask(question, true)
    } finally {
      clearTimeout(timer)
    }
  }
}
