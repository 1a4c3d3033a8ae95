import { familyOf } from '@/core/chemistry/families'
import type { Trait } from '@/core/chemistry/family'
import { conditionNames, finishNames } from '@/core/finishes/finish'
import { toolKindNames } from '@/core/tools/tool'
import { vehicleKindNames } from '@/core/wheel/position'
import { zoneNames } from '@/core/wheel/zone'
import { onWheel } from './book/surfaces'
import type { Rule } from './rule'

const traitNames: Record<Trait, string> = {
  strongAcid: 'strong acid',
  mildAcid: 'mild acid',
  strongAlkali: 'strong alkali',
  mildAlkali: 'mild alkali',
  ironReactive: 'iron-reactive cleaners',
  solvent: 'solvents',
  gloss: 'products with gloss agents',
  abrasive: 'clay lubricants and polishes',
}

const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} or ${parts.at(-1)}`

/** What a rule speaks of, in plain words, for a person who looks it up. */
export function ruleWords(rule: Rule): string {
  const what = [
    rule.traits && listed(rule.traits.map((trait) => traitNames[trait])),
    rule.families && listed(rule.families.map((family) => familyOf(family).name)),
    rule.fluoride && 'anything with fluoride',
    rule.fluorideByWords && 'anything whose name or note speaks of fluoride',
    rule.chlorineByWords && 'anything whose name or note speaks of chlorine bleach',
    rule.wear && 'cleaners that strip protection',
    rule.purpose === 'protect' && 'any protection or dressing',
    rule.purpose === 'clean' && 'any cleaner',
    rule.toolKinds && listed(rule.toolKinds.map((kind) => toolKindNames[kind])),
    rule.toolStiffness && `${listed(rule.toolStiffness)} bristles`,
    rule.toolDuties && `tools kept for the ${listed(rule.toolDuties)}`,
    rule.toolStates && `${listed(rule.toolStates)} tools`,
  ].filter(Boolean)
  const where = [
    rule.finishes && `on ${listed(rule.finishes.map((finish) => finishNames[finish]))}`,
    rule.conditions && `where it is ${listed(rule.conditions.map((condition) => conditionNames[condition]))}`,
    rule.zones &&
      rule.zones !== onWheel &&
      rule.zones.length < 6 &&
      `at the ${listed(rule.zones.map((zone) => zoneNames[zone]))}`,
    rule.besideFinishes && `beside ${listed(rule.besideFinishes.map((finish) => finishNames[finish]))}`,
    rule.vehicleKinds &&
      `on a ${listed(rule.vehicleKinds.map((kind) => vehicleKindNames[kind].toLowerCase()))}`,
    rule.liner && `on ${rule.liner} liners`,
    rule.exposure === 'fullSun' && 'in full sun',
    rule.surfaceAboveCelsius !== undefined &&
      `above ${rule.surfaceAboveCelsius} °C${rule.reckoned === undefined ? '' : rule.reckoned ? ' (reckoned)' : ' (measured)'}`,
    rule.airBelowCelsius !== undefined && `in air below ${rule.airBelowCelsius} °C`,
    rule.airAboveCelsius !== undefined && `in air above ${rule.airAboveCelsius} °C`,
    rule.humidityAboveShare !== undefined && `above ${Math.round(rule.humidityAboveShare * 100)} % humidity`,
    rule.inRain && 'in the rain',
    rule.strengthAbove !== undefined && `stronger than ${Math.round(rule.strengthAbove * 100)} %`,
    rule.dwellAboveSeconds !== undefined && `for more than ${rule.dwellAboveSeconds} s`,
    rule.pressureAboveBar !== undefined &&
      (rule.pressureAboveBar === 0 ? 'under a jet' : `above ${rule.pressureAboveBar} bar`),
    rule.onLiveProtection && 'over live protection',
    rule.onCuringProtection && 'while a protection cures',
    rule.onWetWheel && 'on a wet wheel',
    rule.gritAtLeast !== undefined && 'while there is grit',
    rule.dirtAtLeast !== undefined && 'on more than light dirt',
    rule.filmAbove !== undefined && 'over road film',
    rule.unrinsed && `while ${rule.unrinsed} was not rinsed off`,
    rule.inUsedSprayer && 'in a sprayer that held another product',
    rule.overResidue && 'over residue',
  ].filter(Boolean)
  const sentence = [what.length > 0 ? what.join(', ') : 'anything', ...where].join(' ')
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`
}
