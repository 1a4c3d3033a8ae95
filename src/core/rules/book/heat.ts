import { message } from '@/core/message/message'
import { zones } from '@/core/wheel/zone'
import type { Rule } from '../rule'

/** Black rubber has a rule of its own. */
const offRubber = zones.filter((zone) => zone !== 'tyre')

export const heatRules: readonly Rule[] = [
  {
    id: 'hot-surface', verdict: 'no', safety: true, surfaceAboveCelsius: 35, reckoned: false,
    reason: message('ruleBook.hotSurface.reason'),
  },
  {
    id: 'hot-by-reckoning', verdict: 'no', safety: true, zones: offRubber, surfaceAboveCelsius: 45, reckoned: true,
    reason: message('ruleBook.hotByReckoning.reason'),
  },
  {
    id: 'may-be-hot', verdict: 'withCare', safety: true, surfaceAboveCelsius: 35, reckoned: true,
    reason: message('ruleBook.mayBeHot.reason'),
    care: message('ruleBook.mayBeHot.care', { limit: { celsius: 35 } }), dwellCap: 'shortest',
  },
  {
    id: 'hot-rubber', verdict: 'withCare', safety: false, zones: ['tyre'], surfaceAboveCelsius: 40, reckoned: true,
    reason: message('ruleBook.hotRubber.reason'),
    care: message('ruleBook.hotRubber.care'),
  },
  {
    id: 'warm-surface', verdict: 'withCare', safety: false, surfaceAboveCelsius: 28, purpose: 'clean',
    reason: message('ruleBook.warmSurface.reason'),
    care: message('ruleBook.warmSurface.care'), dwellCap: 'shortest',
  },
  {
    id: 'residue-in-heat', verdict: 'withCare', safety: false, surfaceAboveCelsius: 24, residueAtLeast: 2, purpose: 'clean',
    reason: message('ruleBook.residueInHeat.reason'),
    care: message('ruleBook.residueInHeat.care'),
  },
  {
    id: 'direct-sun-never', verdict: 'no', safety: false, exposure: 'fullSun', purpose: 'clean', method: { name: 'directSun', value: 'never' },
    reason: message('ruleBook.directSunNever.reason'),
  },
  {
    id: 'direct-sun-by-section', verdict: 'withCare', safety: false, exposure: 'fullSun', purpose: 'clean', method: { name: 'directSun', value: 'bySection' },
    reason: message('ruleBook.directSunBySection.reason'),
    care: message('ruleBook.directSunBySection.care'),
  },
] // prettier-ignore
