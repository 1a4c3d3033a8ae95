import type { Rule } from '../rule'
import { abrasiveRules } from './abrasive'
import { acidRules } from './acid'
import { alkaliRules } from './alkali'
import { heatRules } from './heat'
import { ironRules } from './iron'
import { matteRules } from './matte'
import { orderRules } from './order'
import { protectionRules } from './protection'
import { safetyRules } from './safety'
import { solventRules } from './solvent'
import { toolRules } from './tools'
import { weatherRules } from './weather'

/** What the trade holds, one row each; a file a subject. */
export const ruleBook: readonly Rule[] = [
  ...safetyRules,
  ...heatRules,
  ...weatherRules,
  ...acidRules,
  ...alkaliRules,
  ...ironRules,
  ...solventRules,
  ...abrasiveRules,
  ...matteRules,
  ...protectionRules,
  ...orderRules,
  ...toolRules,
]

/** Subjects of the rule book, for a person who looks something up; `rules.subjects` has their names. */
export const ruleSubjects = [
  { name: 'peopleAndBrakes', rules: safetyRules },
  { name: 'heat', rules: heatRules },
  { name: 'weather', rules: weatherRules },
  { name: 'acid', rules: acidRules },
  { name: 'alkali', rules: alkaliRules },
  { name: 'iron', rules: ironRules },
  { name: 'solvent', rules: solventRules },
  { name: 'abrasive', rules: abrasiveRules },
  { name: 'matte', rules: matteRules },
  { name: 'protection', rules: protectionRules },
  { name: 'order', rules: orderRules },
  { name: 'tools', rules: toolRules },
] as const satisfies readonly { readonly name: string; readonly rules: readonly Rule[] }[]
