import { message } from '@/core/message/message'
import { secondsOfAct } from '@/core/operator-time/operatorTime'
import type { Job } from '@/core/job/job'
import { isByHand } from '@/core/plan/byHand'
import type { Act, Shortfall, Stage, StageKind } from '@/core/plan/plan'
import type { StageTiming } from '@/core/plan/stageTiming'
import { timingOf } from '@/core/timing/timingOf'
import { firstGoodHour, hoursAt } from '@/core/timing/workHours'

/** How every stage that puts something wet on is worked at each of its wheels. */
export const timingsOf = (job: Job, stages: readonly Stage[]): StageTiming[] =>
  stages
    .filter(({ kind }) => timedActs[kind] !== undefined)
    .flatMap((stage) =>
      job.corners
        .filter(({ position }) => stage.corners.includes(position))
        .map((corner) => {
          const act = timedActs[stage.kind] as Act
          return timingOf(
            { ...stage, labelMaxSeconds: stage.dwellSeconds.max },
            corner,
            touches.includes(act) && !isByHand(stage)
              ? 0
              : secondsOfAct(act, stage.kind, { ...corner, zones: stage.zones }, job),
            job,
          )
        }),
    )

/** Acts that nothing is done at where no tool gets. */
const touches: readonly Act[] = ['agitate', 'scrub']

/** The act that has to follow while a stage is wet. */
const timedActs: Partial<Record<StageKind, Act>> = {
  presoak: 'preRinse',
  arch: 'scrub',
  tyre: 'scrub',
  wash: 'agitate',
  iron: 'agitate',
  mineral: 'agitate',
  tar: 'wipe',
  waterless: 'wipe',
}

/** What cannot be kept wet now, and the hour or the shade in which it can. */
export function notNow(job: Job, timings: readonly StageTiming[]): Shortfall[] {
  const late = timings.filter(({ isNotNow }) => isNotNow)
  if (late.length === 0) return []
  const corners = job.corners.filter(({ position }) => late.some(({ corner }) => corner === position))
  const { conditions, estimates } = job
  const hours = corners.flatMap((corner) => {
    const first = firstGoodHour(
      hoursAt(corner, 'trigger', conditions, estimates),
      conditions.startHour ?? 24,
      goodWetSeconds,
    )
    return first === null ? [] : [first]
  })
  const isShaded = conditions.exposure === 'shade'
  const hour = hours.length === corners.length && hours.length > 0 ? Math.max(...hours) : null
  return [
    {
      corners: corners.map(({ position }) => position),
      text: late[0]?.text ?? '',
      fix:
        hour === null
          ? message(isShaded ? 'reasons.now.coolWithWater' : 'reasons.now.shadeOrCool')
          : isShaded
            ? message('reasons.now.after', { hour })
            : message('reasons.now.shadeOrAfter', { hour }),
    },
  ]
}

/** A film that lasts so long can be worked, seconds. */
const goodWetSeconds = 150
