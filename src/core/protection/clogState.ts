import type { Followed } from './followed'
import { gradeCount } from './look'
import { healthLeft } from './seenGrades'
import { millisecondsPerDay } from './seasons'
import type { SeenLook } from './sights'
import { usedBy, wearingOf } from './used'
import type { LayerValues } from './unknowns'

export const clogKinds = ['clear', 'clogged', 'wasClogged', 'gone'] as const

/**
 * What the looks at a layer say of film and minerals on it: 'clear', nothing; 'clogged', it looks worse than it should be, so a
 * reviving wash and a new look come before any renewal; 'wasClogged', it looked far better after one; 'gone', it looked no better, or
 * water lies flat right after one.
 */
export type ClogState =
  | { readonly kind: 'clear' }
  | {
      readonly kind: 'clogged' | 'wasClogged' | 'gone'
      readonly before: SeenLook
      readonly after: SeenLook | null
    }

/** House estimates. A look this bad is worth asking about. */
const badGrade = 2
/** Grades between what is seen and what should be left. */
const gapGrades = 0.8
/** A layer is young up to this share of the house's life. */
const youngShare = 0.5
/** So much is hidden after some weeks of winter, share of health. */
const hiddenShare = 0.2
/** No better says that it is gone only for so long after the look before; later it may simply have worn. */
const togetherDays = 45
/** Water lies flat: where film and minerals are off, nothing is left that makes it bead. */
const flatGrade = 0
/** So many grades more, and it was clogged. */
const revivedGrades = 2

const house: LayerValues = { sooner: 0, changed: 0, harsher: 0, kindness: 0, carelessness: 0 }

/** Judges by the last look, and by the one before it where the last was after a reviving wash. */
export function clogStateOf({ looks }: Followed, values: LayerValues): ClogState {
  const last = looks.at(-1)
  if (!last) return { kind: 'clear' }
  if (!last.look.afterReviving) {
    if (last.look.beading > badGrade) return { kind: 'clear' }
    const byHouse = usedBy(last.wear, wearingOf(house))
    const isYoung = byHouse < youngShare
    // The values have already been moved by the very look that is asked about; the house has not.
    const used = (byHouse + usedBy(last.wear, wearingOf(values))) / 2
    const left = healthLeft(used) * (gradeCount - 1)
    return (isYoung || last.clog >= hiddenShare) && left - last.look.beading >= gapGrades
      ? { kind: 'clogged', before: last, after: null }
      : { kind: 'clear' }
  }
  const before = looks.at(-2)
  if (last.look.beading === flatGrade) return { kind: 'gone', before: before ?? last, after: last }
  if (!before || before.look.afterReviving || before.look.beading > badGrade) return { kind: 'clear' }
  // Nothing that is gone comes back: far better is clogged, however long the wash took to come.
  if (last.look.beading - before.look.beading >= revivedGrades)
    return { kind: 'wasClogged', before, after: last }
  const isTogether = last.look.at.getTime() - before.look.at.getTime() <= togetherDays * millisecondsPerDay
  return isTogether && last.look.beading <= badGrade
    ? { kind: 'gone', before, after: last }
    : { kind: 'clear' }
}
