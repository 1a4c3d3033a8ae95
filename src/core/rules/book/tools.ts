import { message } from '@/core/message/message'
import { wheelZones } from '@/core/wheel/zone'
import type { Rule } from '../rule'
import { onWheel } from './surfaces'

export const toolRules: readonly Rule[] = [
  {
    id: 'stiff-on-the-wheel', verdict: 'no', safety: false, zones: onWheel, toolStiffness: ['stiff'],
    reason: message('ruleBook.stiffOnTheWheel.reason'),
  },
  {
    id: 'medium-on-soft-finish', verdict: 'no', safety: false, zones: wheelZones, finishes: ['glossBlack', 'matte', 'polishedBare', 'filmWrapped'],
    toolStiffness: ['medium'],
    reason: message('ruleBook.mediumOnSoftFinish.reason'),
  },
  {
    id: 'stiff-on-fabric-liner', verdict: 'no', safety: false, zones: ['arch'], liner: 'fabric', toolStiffness: ['stiff'],
    reason: message('ruleBook.stiffOnFabricLiner.reason'),
  },
  {
    id: 'strong-on-fabric-liner', verdict: 'withCare', safety: false, zones: ['arch'], liner: 'fabric', traits: ['strongAlkali', 'strongAcid'],
    reason: message('ruleBook.strongOnFabricLiner.reason'),
    care: message('ruleBook.strongOnFabricLiner.care'),
  },
  {
    id: 'tool-out-of-use', verdict: 'no', safety: false, toolStates: ['dropped', 'worn'],
    reason: message('ruleBook.toolOutOfUse.reason'),
  },
  {
    id: 'tyre-and-arch-tools-off-the-wheel', verdict: 'no', safety: false, zones: onWheel, toolDuties: ['tyre', 'arch'],
    reason: message('ruleBook.tyreAndArchToolsOffTheWheel.reason'),
  },
  {
    id: 'paint-tools-off-the-wheel', verdict: 'no', safety: false, toolDuties: ['paint'],
    reason: message('ruleBook.paintToolsOffTheWheel.reason'),
  },
  {
    id: 'jet-at-film-edges', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['filmWrapped'], pressureAboveBar: 0,
    reason: message('ruleBook.jetAtFilmEdges.reason'),
    care: message('ruleBook.jetAtFilmEdges.care'),
  },
  {
    id: 'jet-at-open-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: ['peeling', 'chipped', 'corroded'], pressureAboveBar: 0,
    reason: message('ruleBook.jetAtOpenLacquer.reason'),
    care: message('ruleBook.jetAtOpenLacquer.care'),
  },
  {
    id: 'pressure-too-high', verdict: 'no', safety: true, pressureAboveBar: 140,
    reason: message('ruleBook.pressureTooHigh.reason', { limit: { bar: 140 } }),
  },
] // prettier-ignore
