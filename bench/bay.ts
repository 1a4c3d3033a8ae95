// What there is to keep in mind and to tap: reference jobs, the jobs of the examples, and a hundred at random. Prints JSON.
import { readFileSync, readdirSync } from 'node:fs'
import { fourCorners, testJob } from '@/core/job/testJob'
import type { Job } from '@/core/job/job'
import { tapCount } from '@/core/cards/cardsOf'
import { calmShare, restlessShare } from '@/core/order/calmSequence'
import { planInOrder } from '@/core/order/orderPlan'
import { Draws } from '@/core/sequence/problem/seededRandom'
import { serviceIds } from '@/core/visit-kinds/service'
import type { Grade } from '@/core/soils/soil'
import { readJobText } from '@/contracts/jobFile'
import { referenceJob, references } from './referenceJobs'

interface Subject {
  readonly name: string
  readonly job: Job
  /** Taps in the bay, at most; absent where none are given. */
  readonly most?: number
}

const examples = readdirSync('docs/examples')
  .filter((file) => file.endsWith('.job.json'))
  .flatMap((file): Subject[] => {
    const read = readJobText(readFileSync(`docs/examples/${file}`, 'utf8'))
    return read.ok ? [{ name: file.replace('.job.json', ''), job: read.value.job }] : []
  })

/** A car of any kind of dirt, fronts and rears apart, for one or two people. */
function anyJob(seed: number): Subject {
  const draws = new Draws(seed)
  const grade = (most: number): Grade => draws.draw(most + 1) as Grade
  const [film, front, rear, bonded, browning, grit] = [
    grade(3),
    grade(3),
    grade(2),
    grade(3),
    grade(2),
    grade(2),
  ]
  const service = serviceIds[draws.draw(serviceIds.length)] as (typeof serviceIds)[number]
  const corners = fourCorners({ loads: {} }).map((corner) => {
    const freshDust = corner.position.startsWith('front') ? front : rear
    return {
      ...corner,
      loads: {
        face: { film, freshDust, bondedDust: bonded },
        barrel: { film, freshDust, bondedDust: bonded },
        tyre: { tyreBrowning: browning },
        arch: { film, grit },
      },
    }
  })
  return { name: `random ${seed}`, job: testJob(corners, { service, crew: { people: 1 + draws.draw(2) } }) }
}

const subjects: readonly Subject[] = [
  ...references.map((one) => ({ name: one.name, job: referenceJob(one, 1), most: one.taps })),
  ...references.map((one) => ({ name: `${one.name}, two people`, job: referenceJob(one, 2) })),
  ...examples,
  ...Array.from({ length: 100 }, (_, at) => anyJob(at + 1)),
]

const rows = subjects.flatMap(({ name, job, most }) => {
  const { sequence } = planInOrder(job)
  if (!sequence?.pattern) return []
  const { kind, because, seconds, shortestSeconds, wheelChanges, shortestWheelChanges } = sequence.pattern
  const taps = tapCount(sequence.cards)
  // Of all minutes of the job, what comes before the first wheel and after the last among them.
  const around = sequence.endSeconds - seconds
  const share = shortestSeconds > 0 ? sequence.endSeconds / (around + shortestSeconds) : 1
  const minutes = Math.round(sequence.endSeconds / 60)
  return [
    {
      name,
      people: job.crew.people,
      kind,
      because,
      minutes,
      share,
      wheelChanges,
      shortestWheelChanges,
      taps,
      most,
    },
  ]
})
for (const row of rows)
  process.stdout.write(
    `${row.name}: ${row.minutes} min, ${(100 * row.share).toFixed(1)} % of the shortest, ${row.wheelChanges} of ${row.shortestWheelChanges} changes of wheel, ${row.taps}${row.most ? ` of ${row.most}` : ''} taps, ${row.kind}\n`,
  )
const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1] ?? 0
process.stdout.write(
  `${JSON.stringify({
    jobs: rows.length,
    medianShare: median(rows.map(({ share }) => share)),
    unexplained: rows.filter(
      ({ share, because, wheelChanges, shortestWheelChanges }) =>
        share > (shortestWheelChanges > 4 * wheelChanges ? restlessShare : calmShare) + 0.005 &&
        because === null,
    ).length,
    changes: median(
      rows.map(({ wheelChanges, shortestWheelChanges }) => wheelChanges / Math.max(1, shortestWheelChanges)),
    ),
    patterns: rows.filter(({ kind }) => kind === 'pattern').length,
    taps: Math.max(...rows.map(({ taps, most }) => (most ? taps / most : 0))),
  })}\n`,
)
