/** What practitioners disagree on, as the shop has set it. */
export interface Schools {
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

export type SchoolName = keyof Schools

export type SchoolSetting = {
  [K in SchoolName]: { readonly name: K; readonly value: Schools[K] }
}[SchoolName]

export interface SchoolText<K extends SchoolName = SchoolName> {
  readonly question: string
  /** The default first. */
  readonly choices: readonly { readonly value: Schools[K]; readonly text: string }[]
  /** Why the default is what it is. */
  readonly reason: string
}

/** Question, choices and the reason for the default, for the settings place. */
export const schoolTexts: { readonly [K in SchoolName]: SchoolText<K> } = {
  wheelsOrder: {
    question: 'Wheels before or after the body',
    choices: [
      { value: 'first', text: 'Wheels first' },
      { value: 'last', text: 'Wheels last' },
      { value: 'between', text: 'Body in between, while chemistry dwells' },
    ],
    reason: 'They are the dirtiest, and their splashes go before the body wash.',
  },
  rinseFirst: {
    question: 'Rinse before the first chemical',
    choices: [
      { value: 'byFinish', text: 'By finish and dirt' },
      { value: 'always', text: 'Always' },
      { value: 'never', text: 'Never, on the dry wheel' },
    ],
    reason:
      'Rinsed on soft or dark finishes and heavy grit; dry for film on sound lacquer, where water only thins.',
  },
  ironOn: {
    question: 'Iron remover on the dirty wheel or after washing',
    choices: [
      { value: 'afterWash', text: 'After washing' },
      { value: 'dirty', text: 'Straight on' },
    ],
    reason: 'It then acts on what is bonded, and less of it does the job.',
  },
  acidOnLacquer: {
    question: 'Strong acid on lacquer',
    choices: [
      { value: false, text: 'Never' },
      { value: true, text: 'Diluted, on sound lacquer' },
    ],
    reason: 'Fast and cheap on heavy dust, but a mistake cannot be undone; off until you switch it on.',
  },
  wheelAndTyre: {
    question: 'One product for wheel and tyre, or two',
    choices: [
      { value: 'two', text: 'Two' },
      { value: 'one', text: 'One for both' },
    ],
    reason: 'Each surface wants another strength.',
  },
  maintenance: {
    question: 'Maintenance wash on live protection',
    choices: [
      { value: 'shampoo', text: 'Shampoo in the bucket' },
      { value: 'cleaner', text: 'Spray cleaner' },
    ],
    reason: 'The protection does the work; suds only carry the dirt off.',
  },
  tyre: {
    question: 'Tyre before or after the wheel',
    choices: [
      { value: 'beforeWheel', text: 'Before' },
      { value: 'afterWheel', text: 'After' },
    ],
    reason: 'Splashes of the tyre land on a wheel that is cleaned afterwards.',
  },
  toolRinse: {
    question: 'Brushes rinsed in a bucket or under running water',
    choices: [
      { value: 'bucket', text: 'Bucket with grid' },
      { value: 'runningWater', text: 'Running water' },
    ],
    reason: 'A bucket with a grid stands where you kneel, and works without a second hose.',
  },
  face: {
    question: 'Face by mitt or by brush',
    choices: [
      { value: 'mittThenBrush', text: 'Mitt, then brush as a check' },
      { value: 'brush', text: 'Brush' },
    ],
    reason: 'A mitt holds suds, and fingers find what the eye misses.',
  },
  overFoaming: {
    question: 'A second, strong foam over the cleaner on the wheel',
    choices: [
      { value: false, text: 'One product is enough' },
      { value: true, text: 'Over-foam heavy film' },
    ],
    reason: 'It costs product and protection and is rarely needed.',
  },
  directSun: {
    question: 'Working in direct sun',
    choices: [
      { value: 'bySection', text: 'Part of a wheel at a time' },
      { value: 'never', text: 'Not at all' },
    ],
    reason: 'Small sections stay wet; a whole wheel does not.',
  },
  arches: {
    question: 'Arches',
    choices: [
      { value: 'always', text: 'Always, light' },
      { value: 'whereSoiled', text: 'Only where they show dirt' },
    ],
    reason: 'They drip on everything below; a light clean each time is quicker than a heavy one later.',
  },
  drying: {
    question: 'Drying',
    choices: [
      { value: 'air', text: 'Air, then towel' },
      { value: 'towel', text: 'Towel only' },
      { value: 'leaveWet', text: 'Leave wet until the car is washed' },
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
  protection: {
    question: 'Protection at each visit',
    choices: [
      { value: 'byRecord', text: 'By what is on the wheel' },
      { value: 'sprayAndRinse', text: 'Spray and rinse, wet' },
      { value: 'wipeOn', text: 'Wipe on, dry' },
      { value: 'coating', text: 'Coat once, then top up' },
    ],
    reason: 'A coating wants its topper, a bare wheel the quickest layer.',
  },
  sprayed: {
    question: 'Several wheels sprayed at once',
    choices: [
      { value: 'wetLimit', text: 'As many as stay wet' },
      { value: 'oneAtATime', text: 'One at a time' },
    ],
    reason: 'Waiting beside one dwelling wheel costs a fifth of the day.',
  },
  passes: {
    question: 'Rinses at a wheel',
    choices: [
      { value: 'oneRinse', text: 'One for what may be wet together' },
      { value: 'everyStage', text: 'One after every stage' },
    ],
    reason:
      'Arch, tyre and wheel are worked wet and leave together; a rinse of its own is for chemistry that asks for it.',
  },
  order: {
    question: 'Order of the work',
    choices: [
      { value: 'calm', text: 'Calm: the same moves at every wheel, within 12 % of the shortest' },
      { value: 'tight', text: 'Tight: the shortest, whatever it jumps about' },
    ],
    reason: 'Nobody follows eighty clock times with a lance in the hand; everybody keeps a pattern.',
  },
}

export const schoolNames = Object.keys(schoolTexts) as SchoolName[]

export const defaultSchools = Object.fromEntries(
  schoolNames.map((name) => [name, schoolTexts[name].choices[0]?.value]),
) as unknown as Schools

/** How a school is named where it decided something. */
export function schoolText<K extends SchoolName>(name: K, schools: Schools): string {
  const { question, choices } = schoolTexts[name]
  return `${question}: ${(choices.find(({ value }) => value === schools[name])?.text ?? '').toLowerCase()} (your shop setting)`
}
