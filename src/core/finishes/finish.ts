export const finishes = [
  'paintedGloss', 'glossBlack', 'matte', 'powderCoat', 'diamondCut', 'polishedBare', 'brushedBare', 'anodised',
  'chrome', 'carbonFibre', 'magnesium', 'paintedSteel', 'plasticTrim', 'filmWrapped', 'unknown',
] as const // prettier-ignore
export type Finish = (typeof finishes)[number]

export const conditions = ['sound', 'chipped', 'peeling', 'corroded', 'curbRashed', 'unknown'] as const
export type Condition = (typeof conditions)[number]

/** Finishes with no lacquer between chemistry and metal. */
export const bareFinishes: readonly Finish[] = [
  'polishedBare',
  'brushedBare',
  'anodised',
  'chrome',
  'magnesium',
]
/** Conditions in which lacquer no longer seals the metal. */
export const openConditions: readonly Condition[] = [
  'chipped',
  'peeling',
  'corroded',
  'curbRashed',
  'unknown',
]

/** What a wheel is judged as: what nobody knows counts as bare metal until shown otherwise. */
export const judgedAs = (finish: Finish): Finish => (finish === 'unknown' ? 'polishedBare' : finish)

/** Finishes on which anything rubbed shows: rinsed before the first chemical, worked with soft media only. */
export const isDarkOrSoft = ({ finish, condition }: { finish: Finish; condition: Condition }): boolean =>
  showsEveryTouch(finish) || finish === 'unknown' || condition !== 'sound'

/** Finishes on which one grain in the mitt is seen for good. */
export const showsEveryTouch = (finish: Finish): boolean =>
  ['glossBlack', 'matte', 'filmWrapped', 'polishedBare'].includes(finish)

/** Finishes that want milder and longer, never stronger: whatever shows a touch, bare metal, thin skins and machined faces. */
export const isDelicate = (state: { finish: Finish; condition: Condition }): boolean =>
  isDarkOrSoft(state) ||
  bareFinishes.includes(state.finish) ||
  ['diamondCut', 'carbonFibre', 'plasticTrim'].includes(state.finish)

/** Why a condition cannot be with a finish; null where it can. */
export function contradiction(finish: Finish, condition: Condition): 'noLacquer' | 'noCorrosion' | null {
  if (condition === 'peeling' && bareFinishes.includes(finish) && finish !== 'chrome') return 'noLacquer'
  if (condition === 'corroded' && ['plasticTrim', 'filmWrapped', 'carbonFibre'].includes(finish))
    return 'noCorrosion'
  return null
}
