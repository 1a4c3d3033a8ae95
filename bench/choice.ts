// How long choosing takes: the whole plan for four different wheels with dirt on every zone, over the size of the cabinet.
import { cleaningFamilyIds, familyIds } from '@/core/chemistry/families'
import type { Rating } from '@/core/chemistry/family'
import type { Product } from '@/core/chemistry/product'
import { productFromFamily } from '@/core/chemistry/starterCabinet'
import { finishZones, zones } from '@/core/wheel/zone'
import { grades, soils } from '@/core/soils/soil'
import { makePlan } from '@/core/planning/makePlan'
import { jobFormat, readJob } from '@/contracts/jobFile'
import type { Job } from '@/core/job/job'

/** A repeatable spread of numbers from 0 to 1. */
function spread(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

function cabinetOf(size: number, next: () => number): Product[] {
  return Array.from({ length: size }, (_, index) => {
    const family =
      index < familyIds.length ? familyIds[index]! : cleaningFamilyIds[index % cleaningFamilyIds.length]!
    const base = productFromFamily(family)
    const ratings = Object.fromEntries(
      soils.filter(() => next() < 0.4).map((soil) => [soil, Math.floor(next() * 5) as Rating]),
    )
    const to = base.strength.to * (0.6 + 0.4 * next())
    return {
      ...base,
      id: `p${index}`,
      name: `P${index}`,
      strength: { from: Math.min(to, base.strength.from * (0.5 + next())), to },
      ratings: index < familyIds.length ? {} : ratings,
      packPriceMinor: Math.round(500 + next() * 4000),
      packMillilitres: 500 + Math.round(next() * 4500),
    }
  })
}

function jobOf(size: number, seed: number): Job {
  const next = spread(seed)
  const read = readJob({
    format: jobFormat,
    corners: (['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const).map((position, index) => ({
      position,
      tyreCode: '255/35 R19',
      rimWidthInches: 8.5 + index / 2,
      spokeCount: 10,
      finishes: finishZones.map((zone) => ({ zone, finish: 'paintedGloss', condition: 'sound' })),
      loads: zones
        .filter((zone) => zone !== 'rotor')
        .flatMap((zone) => soils.map((soil) => ({ zone, soil, grade: grades[1 + Math.floor(next() * 3)]! }))),
      protection: index < 2 ? ['spraySealant'] : [],
    })),
  })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return { ...read.value.job, cabinet: cabinetOf(size, next) }
}

const median = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!

const result = [10, 20, 40, 80, 200].map((size) => {
  const jobs = Array.from({ length: 12 }, (_, seed) => jobOf(size, seed * 7919 + size))
  makePlan(jobs[0]!)
  const times = jobs.map((job) => {
    const before = performance.now()
    makePlan(job)
    return performance.now() - before
  })
  return { size, medianMilliseconds: median(times), worstMilliseconds: Math.max(...times) }
})
process.stdout.write(JSON.stringify(result))
