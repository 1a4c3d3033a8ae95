/** What practitioners disagree on, as the shop has set it. */
export interface Schools {
  /** Strong acid on sound lacquer allowed. */
  readonly acidOnLacquer: boolean
  readonly arches: 'always' | 'whereSoiled'
  readonly tyre: 'beforeWheel' | 'afterWheel'
  readonly drying: 'air' | 'towel'
  readonly dressing: 'water' | 'solvent'
}

export type SchoolSetting = {
  [K in keyof Schools]: { readonly name: K; readonly value: Schools[K] }
}[keyof Schools]

export const defaultSchools: Schools = {
  acidOnLacquer: false,
  arches: 'always',
  tyre: 'beforeWheel',
  drying: 'air',
  dressing: 'water',
}

/** Question, choices and the reason for the default, for the settings place. */
export const schoolTexts: {
  [K in keyof Schools]: {
    readonly question: string
    readonly choices: readonly { readonly value: Schools[K]; readonly text: string }[]
    readonly reason: string
  }
} = {
  acidOnLacquer: {
    question: 'Strong acid on lacquer',
    choices: [
      { value: false, text: 'Never' },
      { value: true, text: 'Diluted, on sound lacquer' },
    ],
    reason: 'Fast and cheap on heavy dust, but a mistake cannot be undone; off until you switch it on.',
  },
  arches: {
    question: 'Arches',
    choices: [
      { value: 'always', text: 'Always, light' },
      { value: 'whereSoiled', text: 'Only where they show dirt' },
    ],
    reason: 'They drip on everything below; a light clean each time is quicker than a heavy one later.',
  },
  tyre: {
    question: 'Tyre before or after the wheel',
    choices: [
      { value: 'beforeWheel', text: 'Before' },
      { value: 'afterWheel', text: 'After' },
    ],
    reason: 'Splashes of the tyre land on a wheel that is cleaned afterwards.',
  },
  drying: {
    question: 'Drying',
    choices: [
      { value: 'air', text: 'Air, then towel' },
      { value: 'towel', text: 'Towel only' },
    ],
    reason: 'Air reaches lug holes and the backs of spokes without touching them.',
  },
  dressing: {
    question: 'Tyre dressing',
    choices: [
      { value: 'water', text: 'Water-based, matte to satin' },
      { value: 'solvent', text: 'Solvent-based, wet gloss' },
    ],
    reason: 'Easy to clean, no sling when thin and dry.',
  },
}
