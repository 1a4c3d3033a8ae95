import { message, type Message, type Sayable } from '@/core/message/message'
import { terms } from '@/core/message/term'
import { onWheel } from './book/surfaces'
import type { Rule } from './rule'

type Said = Message | false | undefined | null

const isSaid = (one: Said): one is Message => Boolean(one)

/** What is used, as a rule names it. */
const whatOf = (rule: Rule): Said[] => [
  rule.traits && oneOf(rule.traits.map((trait) => message(`rules.about.traits.${trait}`))),
  rule.families && oneOf(terms('family', rule.families)),
  rule.fluoride && message('rules.about.fluoride'),
  rule.fluorideByWords && message('rules.about.fluorideByWords'),
  rule.chlorineByWords && message('rules.about.chlorineByWords'),
  rule.wear && message('rules.about.strips'),
  rule.purpose === 'protect' && message('rules.about.anyProtection'),
  rule.purpose === 'clean' && message('rules.about.anyCleaner'),
  rule.toolKinds && oneOf(terms('toolKind', rule.toolKinds)),
  rule.toolStiffness &&
    message('rules.about.bristles', {
      stiffness: { either: rule.toolStiffness.map((one) => message(`rules.about.stiffness.${one}`)) },
    }),
  rule.toolDuties &&
    message('rules.about.keptFor', {
      places: { either: rule.toolDuties.map((one) => message(`rules.about.duty.${one}`)) },
    }),
  rule.toolStates &&
    message('rules.about.inState', {
      states: { either: rule.toolStates.map((one) => message(`rules.about.state.${one}`)) },
    }),
]

const oneOf = (several: readonly Sayable[]): Message =>
  message('common.asItIs', { text: { either: several } })

/** On which surface, as a rule names it. */
const surfaceOf = (rule: Rule): Said[] => [
  rule.finishes && message('rules.about.onFinish', { finishes: { either: terms('finish', rule.finishes) } }),
  rule.conditions &&
    message('rules.about.whereItIs', { conditions: { either: terms('condition', rule.conditions) } }),
  rule.zones &&
    rule.zones !== onWheel &&
    rule.zones.length < 6 &&
    message('rules.about.atZones', { zones: { either: terms('zone', rule.zones) } }),
  rule.besideFinishes &&
    message('rules.about.besideFinish', { finishes: { either: terms('finish', rule.besideFinishes) } }),
  rule.vehicleKinds &&
    message('rules.about.onVehicle', { kinds: { either: terms('vehicle', rule.vehicleKinds) } }),
  rule.liner && message(rule.liner === 'plastic' ? 'rules.about.plasticLiner' : 'rules.about.fabricLiner'),
]

/** In which weather, how hot and how strong. */
const amountsOf = (rule: Rule): Said[] => [
  rule.exposure === 'fullSun' && message('rules.about.fullSun'),
  rule.surfaceAboveCelsius !== undefined && aboveOf(rule.surfaceAboveCelsius, rule.reckoned),
  rule.airBelowCelsius !== undefined &&
    message('rules.about.airBelow', { temperature: { celsius: rule.airBelowCelsius } }),
  rule.airAboveCelsius !== undefined &&
    message('rules.about.airAbove', { temperature: { celsius: rule.airAboveCelsius } }),
  rule.humidityAboveShare !== undefined &&
    message('rules.about.humidity', { share: { share: rule.humidityAboveShare } }),
  rule.inRain && message('rules.about.rain'),
  rule.strengthAbove !== undefined &&
    message('rules.about.strongerThan', { share: { share: rule.strengthAbove } }),
  rule.dwellAboveSeconds !== undefined &&
    message('rules.about.longerThan', { time: { dwellSeconds: rule.dwellAboveSeconds } }),
  rule.pressureAboveBar !== undefined &&
    (rule.pressureAboveBar === 0
      ? message('rules.about.underJet')
      : message('rules.about.pressure', { limit: { bar: rule.pressureAboveBar } })),
]

function aboveOf(celsius: number, isReckoned: boolean | undefined): Message {
  const temperature = { celsius }
  if (isReckoned === undefined) return message('rules.about.above', { temperature })
  return isReckoned
    ? message('rules.about.aboveEstimated', { temperature })
    : message('rules.about.aboveMeasured', { temperature })
}

/** What is on the wheel already. */
const stateOf = (rule: Rule): Said[] => [
  rule.onLiveProtection && message('rules.about.overProtection'),
  rule.onCuringProtection && message('rules.about.whileCuring'),
  rule.onWetWheel && message('rules.about.onWet'),
  rule.gritAtLeast !== undefined && message('rules.about.withGrit'),
  rule.dirtAtLeast !== undefined && message('rules.about.withDirt'),
  rule.filmAbove !== undefined && message('rules.about.overFilm'),
  rule.unrinsed &&
    message(rule.unrinsed === 'acid' ? 'rules.about.unrinsedAcid' : 'rules.about.unrinsedAlkali'),
  rule.inUsedSprayer && message('rules.about.usedSprayer'),
  rule.overResidue && message('rules.about.overResidue'),
]

/** What a rule is about, as a sentence, for a person who looks it up. */
export function ruleWords(rule: Rule): Message {
  const things = whatOf(rule).filter(isSaid)
  const what: Sayable = { capital: things.length > 0 ? things : message('rules.about.anything') }
  const [first, ...others] = [...surfaceOf(rule), ...amountsOf(rule), ...stateOf(rule)].filter(isSaid)
  if (!first) return message('rules.about.whatOnly', { what })
  const where = others.reduce((said, next) => message('rules.about.more', { first: said, next }), first)
  return message('rules.about.sentence', { what, where })
}
