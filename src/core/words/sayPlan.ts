import { listed } from './listed'
import { familyOf } from '@/core/chemistry/families'
import type { Job } from '@/core/job/job'
import { axleOf, inWalkingOrder, positionNames, type Position } from '@/core/wheel/position'
import type { Stage } from '@/core/plan/plan'
import { isByHand } from '@/core/plan/byHand'
import { cleansWheel, type StageKind } from '@/core/acts/stageKind'

/** How a person names a group of wheels. */
export function nameCorners(corners: readonly Position[], all: readonly Position[]): string {
  if (corners.length === all.length) return all.length === 1 ? 'on the wheel' : 'all round'
  const fronts = all.filter((position) => position.startsWith('front'))
  const rears = all.filter((position) => !position.startsWith('front'))
  const same = (group: readonly Position[]) =>
    group.length === corners.length && group.every((position) => corners.includes(position))
  if (fronts.length > 0 && same(fronts)) return 'on the fronts only'
  if (rears.length > 0 && same(rears)) return 'on the rears only'
  const outer = all.filter((position) => !position.endsWith('Inner'))
  if (outer.length < all.length && same(outer)) return 'on the outer wheels'
  return `on the ${listed(inWalkingOrder(corners.map((position) => ({ position }))).map(({ position }) => positionNames[position].toLowerCase()))}`
}

/** A group of wheels as it stands after a preposition: "the front wheels", "all wheels". */
export function nameWheels(corners: readonly Position[], all: readonly Position[]): string {
  if (corners.length === all.length) return all.length === 1 ? 'the wheel' : 'all wheels'
  const where = nameCorners(corners, all)
  const one = corners.length === 1 ? 'wheel' : 'wheels'
  if (where === 'on the fronts only') return `the front ${one}`
  return where === 'on the rears only' ? `the rear ${one}` : where.replace(/^on /, '')
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
/** Stages of wheel chemistry. */
export const onWheel = ({ kind }: Stage): boolean => cleansWheel(kind)

const times = ({ rounds }: Stage): string =>
  rounds === 1 ? '' : rounds === 2 ? ' twice' : ` ${rounds} times`

/** What a stage is, before what it is called: the product's name only where the cabinet has several of its kind. */
export function whatIs({ family: id, productName }: Stage, { cabinet }: Job): string {
  const { name } = familyOf(id)
  const several = cabinet.filter(({ family, archived }) => family === id && !archived).length > 1
  return several && !productName.toLowerCase().includes(name) ? `${name} (${productName})` : name
}

/** Products of one kind of stage: "A all round", or "A in front, B behind". */
function sayStages(stages: readonly Stage[], job: Job): string {
  const all = job.corners.map(({ position }) => position)
  const rears = all.filter((position) => axleOf(position) === 'rear')
  const inFront = (where: string): string =>
    where === 'on the fronts only' ? 'in front' : where === 'on the rears only' ? 'behind' : where
  // The same cleaner everywhere, and more of it where there is more: that is one recipe.
  const [one, ...others] = [...stages].sort((a, b) => a.rounds - b.rounds)
  const isOneRecipe =
    one && others.length === 1 && others.every(({ productId }) => productId === one.productId)
  const everywhere = stages.flatMap(({ corners }) => corners).length === all.length
  if (isOneRecipe && everywhere && one.rounds < (others[0]?.rounds ?? 0))
    return `${whatIs(one, job)} all round,${times(others[0] as Stage)} ${inFront(nameCorners(others[0]?.corners ?? [], all))}`
  return stages
    .map((stage) => {
      const { corners } = stage
      const name = whatIs(stage, job)
      const where = nameCorners(corners, all)
      const twice = times(stage)
      if (stages.length === 1 || all.length === 1 || rears.length === all.length)
        return `${name}${twice} ${where}`
      return `${name}${twice} ${inFront(where)}`
    })
    .join(', ')
}

/** Stages that differ only in strength or dwell are one to the ear. */
function sameWords(stages: readonly Stage[]): Stage[] {
  return stages.reduce<Stage[]>((said, stage) => {
    const at = said.findIndex(
      (one) =>
        one.kind === stage.kind &&
        one.productId === stage.productId &&
        one.rounds === stage.rounds &&
        !one.corners.some((corner) => stage.corners.includes(corner)),
    )
    const known = said[at]
    if (!known) return [...said, stage]
    return said.map((one, index) =>
      index === at ? { ...known, corners: [...known.corners, ...stage.corners] } : one,
    )
  }, [])
}

/** The wheel chemistry of some stages in a few words. */
export function summaryOf(job: Job, stages: readonly Stage[]): string {
  const all = job.corners.map(({ position }) => position)
  const mine = sameWords(stages.filter(onWheel))
  const places = new Set(mine.map(({ corners }) => nameCorners(corners, all)))
  // The same wheels all through: the place is said once.
  if (places.size === 1)
    return `${mine.map((stage) => `${whatIs(stage, job)}${times(stage)}`).join(', then ')} ${[...places][0]}`
  const kinds = [...new Set(mine.map(({ kind }) => kind))]
  return kinds
    .map((kind) =>
      sayStages(
        mine.filter((stage) => stage.kind === kind),
        job,
      ),
    )
    .join('; then ')
}

/** Minutes as people say them: "38 min", "1 h 5 min". */
export function sayTime(seconds: number): string {
  const minutes = Math.round(seconds / 60)
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60]
  if (hours === 0) return `${minutes} min`
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}

/** Longer ones are not read at a glance. */
export const maxHeadlineCharacters = 89

/** What a stage is for, where there is no room for what it is. */
const inShort: Partial<Record<StageKind, string>> = {
  waterless: 'waterless wash',
  wash: 'wash',
  iron: 'iron',
  mineral: 'scale',
  tar: 'tar',
}

/** Products in the order of their use, each named once; where there are too many, in fewer words. */
function productsOf(job: Job, stages: readonly Stage[], room: number): string {
  const ways: ((stage: Stage) => string)[] = [
    (stage) => whatIs(stage, job),
    ({ family }) => familyOf(family).name,
    ({ family, kind }) => (kind === 'wash' ? 'wash' : familyOf(family).name),
    ({ family, kind }) => inShort[kind] ?? familyOf(family).name,
  ]
  const said = ways.map((name) => listed([...new Set(stages.filter(onWheel).map(name))]))
  return said.find(({ length }) => length <= room) ?? said.at(-1) ?? ''
}

/**
 * The answer as a colleague would say it: products, time, people. Where and how often stands below it.
 * @param clockSeconds from the first look to the note, where the steps stand in an order; else hand time stands alone
 * @param moreSeconds that second rounds may take, if the look asks for them
 */
export function headlineOf(
  job: Job,
  stages: readonly Stage[],
  operatorSeconds: number,
  clockSeconds: number = operatorSeconds,
  moreSeconds = 0,
): string {
  if (!stages.some(onWheel)) return 'Nothing in the cabinet can wash these wheels.'
  const [time, most] = [sayTime(clockSeconds), sayTime(clockSeconds + moreSeconds)]
  const range = most === time ? time : `${time} to ${most}`
  const isSprayedOnly = stages.filter(onWheel).every((stage) => stage.kind === 'wash' && !isByHand(stage))
  const how = isSprayedOnly ? ', sprayed and rinsed only' : ''
  const rest = `${how}. About ${range}, ${job.crew.people === 1 ? 'one person' : 'two people'}.`
  return `${capital(productsOf(job, stages, maxHeadlineCharacters - rest.length))}${rest}`
}
