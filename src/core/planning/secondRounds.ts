import { afterRounds, secondsOfAct } from '@/core/operator-time/operatorTime'
import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { Job } from '@/core/job/job'
import type { SecondRound, SoilCourse, Stage } from '@/core/plan/plan'
import { exp, log } from '@/core/quantity/portableMath'
import { amountOfGrade } from '@/core/soils/soil'
import { cleansWheel } from '@/core/acts/stageKind'

/** Less likely than this nothing is said. House estimate. */
const worthSaying = 0.25
/** Less than a light grade is spot-treated at the look, amount on the doubling scale. */
const seenAmount = amountOfGrade(1)
/** A whole second round is for what is heavy; lighter dirt leaves spots at most. */
const heavyAmount = amountOfGrade(3)
/** The band of a rating holds eight of ten days: so many standard deviations to either side. */
const bandDeviations = 1.2816

/** Share of a normal distribution below a value, by the logistic curve that follows it within a hundredth. */
const shareBelow = (deviations: number): number => 1 / (1 + exp(-1.702 * deviations))

/** How likely a light grade or more is left of heavy dirt after the last stage; 0 where nothing is wanted of it. */
export function shareLeft({ target, left }: SoilCourse, overrides: EstimateOverrides): number {
  const [before, after] = [left[0]?.expected ?? 0, left.at(-1)?.expected ?? 0]
  if (target === null || before < heavyAmount || after <= 0) return 0
  const exponent = log(before / after)
  if (exponent <= 0) return 0
  const spread = (exponent * estimate('removalBand', overrides)) / bandDeviations
  return shareBelow((log(before / seenAmount) - exponent) / spread)
}

/** The stage that takes most of a soil, where it goes on once. */
function stageFor({ left }: SoilCourse, stages: readonly Stage[]): Stage | null {
  const drops = left.slice(1).map(({ stageId, expected }, at) => ({
    stageId,
    drop: (left[at]?.expected ?? 0) - expected,
  }))
  const [most] = [...drops].sort((a, b) => b.drop - a.drop)
  const stage = stages.find(({ id }) => id === most?.stageId)
  return stage && cleansWheel(stage.kind) && stage.kind !== 'tar' && stage.rounds === 1 ? stage : null
}

/** Another application at the wheels where it is likely: sprayed, left, brushed and rinsed. */
const secondsAgain = ({ kind, zones, dwellSeconds }: Stage, { corners }: SoilCourse, job: Job): number =>
  job.corners
    .filter(({ position }) => corners.includes(position))
    .reduce(
      (sum, corner) =>
        sum +
        dwellSeconds.min +
        (['spray', 'agitate', 'rinse'] as const).reduce(
          (all, act) => all + secondsOfAct(act, kind, afterRounds({ ...corner, zones }, 2), job),
          0,
        ),
      0,
    )

/** Second rounds that the look may ask for, the likeliest of each stage and wheels. */
export function secondRounds(job: Job, stages: readonly Stage[], soil: readonly SoilCourse[]): SecondRound[] {
  const found = new Map<string, SecondRound>()
  for (const course of soil) {
    const stage = stageFor(course, stages)
    const share = shareLeft(course, job.estimates)
    if (!stage || share < worthSaying) continue
    const key = `${stage.id} ${course.corners.join()}`
    if ((found.get(key)?.share ?? 0) >= share) continue
    const { corners, soil: of } = course
    found.set(key, { stageId: stage.id, corners, soil: of, share, seconds: secondsAgain(stage, course, job) })
  }
  return [...found.values()].reduce<SecondRound[]>(joined, [])
}

/** Fronts and rears that may want the same again are told together, at the likelier of the two. */
function joined(told: readonly SecondRound[], one: SecondRound): SecondRound[] {
  const at = told.findIndex(({ stageId }) => stageId === one.stageId)
  const known = told[at]
  if (!known) return [...told, one]
  const both = {
    ...known,
    corners: [...known.corners, ...one.corners],
    share: Math.max(known.share, one.share),
    seconds: known.seconds + one.seconds,
  }
  return told.map((other, index) => (index === at ? both : other))
}
