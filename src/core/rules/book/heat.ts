import { zones } from '@/core/wheel/zone'
import type { Rule } from '../rule'

/** Black rubber has a rule of its own. */
const offRubber = zones.filter((zone) => zone !== 'tyre')

export const heatRules: readonly Rule[] = [
  {
    id: 'hot-surface', verdict: 'no', safety: true, surfaceAboveCelsius: 35, reckoned: false,
    reason: 'Chemistry on a hot wheel dries, stains and reacts too fast. Let it cool until it is cool to the touch.',
  },
  {
    id: 'hot-by-reckoning', verdict: 'no', safety: true, zones: offRubber, surfaceAboveCelsius: 45, reckoned: true,
    reason: 'By sun and air these wheels are far too hot: everything would dry and stain. Shade, another hour, or a reading that says otherwise.',
  },
  {
    id: 'may-be-hot', verdict: 'withCare', safety: true, surfaceAboveCelsius: 35, reckoned: true,
    reason: 'By sun and air these wheels may be too hot to work on; nobody measured.',
    care: 'Measure before the first drop; above 35 °C wait for shade or a cooler hour.', dwellCap: 'shortest',
  },
  {
    id: 'hot-rubber', verdict: 'withCare', safety: false, zones: ['tyre'], surfaceAboveCelsius: 40, reckoned: true,
    reason: 'Black rubber in the sun gets hotter than the wheel beside it.',
    care: 'Rinse the tyre cool before anything goes on it, and shade it where you can.',
  },
  {
    id: 'warm-surface', verdict: 'withCare', safety: false, surfaceAboveCelsius: 28, purpose: 'clean',
    reason: 'On a warm wheel product dries sooner and acts faster.',
    care: 'Half a wheel at a time where it begins to dry; keep it wet, shortest dwell.', dwellCap: 'shortest',
  },
  {
    id: 'residue-in-heat', verdict: 'withCare', safety: false, surfaceAboveCelsius: 24, residueAtLeast: 2, purpose: 'clean',
    reason: 'This kind leaves residue that is hard to rinse when it is warm.',
    care: 'Rinse twice, from the back first.',
  },
  {
    id: 'direct-sun-never', verdict: 'no', safety: false, exposure: 'fullSun', purpose: 'clean', school: { name: 'directSun', value: 'never' },
    reason: 'Your shop does not work in direct sun: product dries before it is rinsed. Find shade, or an early or late hour (a shop setting).',
  },
  {
    id: 'direct-sun-by-section', verdict: 'withCare', safety: false, exposure: 'fullSun', purpose: 'clean', school: { name: 'directSun', value: 'bySection' },
    reason: 'In the sun a whole wheel does not stay wet.',
    care: 'Half a wheel at a time where the plan has parts; mist it again before it dries.',
  },
] // prettier-ignore
