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

/** Subjects of the rule book, for a person who looks something up. */
export const ruleSubjects: readonly { readonly name: string; readonly rules: readonly Rule[] }[] = [
  { name: 'People and brakes', rules: safetyRules },
  { name: 'Heat', rules: heatRules },
  { name: 'Cold, damp and rain', rules: weatherRules },
  { name: 'Acid', rules: acidRules },
  { name: 'Alkali', rules: alkaliRules },
  { name: 'Iron removers and gels', rules: ironRules },
  { name: 'Solvents', rules: solventRules },
  { name: 'Clay and polish', rules: abrasiveRules },
  { name: 'Matte and satin', rules: matteRules },
  { name: 'Protection', rules: protectionRules },
  { name: 'Order of work', rules: orderRules },
  { name: 'Tools and pressure', rules: toolRules },
]
