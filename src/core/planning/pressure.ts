import { message } from '@/core/message/message'
import type { Job } from '@/core/job/job'
import type { Shortfall } from '@/core/plan/plan'
import { judge } from '@/core/rules/judge'

/** The washer of the shop against the rule on pressure: nothing is rinsed with more. */
export function tooMuchPressure(job: Job): Shortfall[] {
  const site = { zone: 'face', surface: null, vehicleKind: job.vehicleKind, methods: job.methods } as const
  const { rules } = judge({}, { ...site, protectionLive: false, pressureBar: job.equipment.pressureBar })
  return rules.map(({ reason }) => ({
    corners: job.corners.map(({ position }) => position),
    text: reason,
    fix: message('reasons.cabinet.pressureFix', { pressure: { bar: job.equipment.pressureBar } }),
  }))
}
