import { message, type Message } from '@/core/message/message'
/** What practitioners disagree on, as the shop has set it. */
export interface Methods {
  readonly wheelsOrder: 'first' | 'last' | 'between'
  readonly rinseFirst: 'byFinish' | 'always' | 'never'
  readonly ironOn: 'afterWash' | 'dirty'
  /** Strong acid on sound lacquer allowed. */
  readonly acidOnLacquer: boolean
  readonly wheelAndTyre: 'two' | 'one'
  readonly maintenance: 'shampoo' | 'cleaner'
  readonly tyre: 'beforeWheel' | 'afterWheel'
  readonly toolRinse: 'bucket' | 'runningWater'
  readonly face: 'mittThenBrush' | 'brush'
  readonly overFoaming: boolean
  readonly directSun: 'bySection' | 'never'
  readonly arches: 'always' | 'whereSoiled'
  readonly drying: 'air' | 'towel' | 'leaveWet'
  readonly dressing: 'water' | 'solvent'
  readonly protection: 'byRecord' | 'sprayAndRinse' | 'wipeOn' | 'coating'
  readonly sprayed: 'wetLimit' | 'oneAtATime'
  readonly passes: 'oneRinse' | 'everyStage'
  readonly order: 'calm' | 'tight'
}

export type MethodName = keyof Methods

export type MethodSetting = {
  [K in MethodName]: { readonly name: K; readonly value: Methods[K] }
}[MethodName]

/** What the shop can choose between, the default first. */
export const methodChoices: { readonly [Name in MethodName]: readonly Methods[Name][] } = {
  wheelsOrder: ['first', 'last', 'between'],
  rinseFirst: ['byFinish', 'always', 'never'],
  ironOn: ['afterWash', 'dirty'],
  acidOnLacquer: [false, true],
  wheelAndTyre: ['two', 'one'],
  maintenance: ['shampoo', 'cleaner'],
  tyre: ['beforeWheel', 'afterWheel'],
  toolRinse: ['bucket', 'runningWater'],
  face: ['mittThenBrush', 'brush'],
  overFoaming: [false, true],
  directSun: ['bySection', 'never'],
  arches: ['always', 'whereSoiled'],
  drying: ['air', 'towel', 'leaveWet'],
  dressing: ['water', 'solvent'],
  protection: ['byRecord', 'sprayAndRinse', 'wipeOn', 'coating'],
  sprayed: ['wetLimit', 'oneAtATime'],
  passes: ['oneRinse', 'everyStage'],
  order: ['calm', 'tight'],
}

export const methodNames = Object.keys(methodChoices) as MethodName[]

export const defaultMethods = Object.fromEntries(
  methodNames.map((name) => [name, methodChoices[name][0]]),
) as unknown as Methods

/** A choice, as it stands within a sentence. */
export const sayChoice = (name: MethodName, value: Methods[MethodName]): Message => ({
  key: `methods.${name}.choices.${String(value)}` as Message['key'],
})

/** How a method is named where it decided something. */
export const sayMethod = (name: MethodName, methods: Methods): Message =>
  message('methods.used', {
    question: message(`methods.${name}.question`),
    choice: sayChoice(name, methods[name]),
  })
