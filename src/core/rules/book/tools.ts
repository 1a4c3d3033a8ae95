import { wheelZones } from '@/core/wheel/zone'
import type { Rule } from '../rule'
import { onWheel } from './surfaces'

export const toolRules: readonly Rule[] = [
  {
    id: 'stiff-on-the-wheel', verdict: 'no', safety: false, zones: onWheel, toolStiffness: ['stiff'],
    reason: 'Stiff bristles are for rubber and hard plastic; on lacquer they leave scratches.',
  },
  {
    id: 'medium-on-soft-finish', verdict: 'no', safety: false, zones: wheelZones, finishes: ['glossBlack', 'matte', 'polishedBare', 'filmWrapped'],
    toolStiffness: ['medium'],
    reason: 'This finish shows every scratch: soft media only.',
  },
  {
    id: 'stiff-on-fabric-liner', verdict: 'no', safety: false, zones: ['arch'], liner: 'fabric', toolStiffness: ['stiff'],
    reason: 'A stiff brush tears the fibres out of a fabric liner.',
  },
  {
    id: 'strong-on-fabric-liner', verdict: 'withCare', safety: false, zones: ['arch'], liner: 'fabric', traits: ['strongAlkali', 'strongAcid'],
    reason: 'Fabric holds mud and chemistry alike.',
    care: 'Weaker mix, and rinse long: it has to come out again.',
  },
  {
    id: 'tool-out-of-use', verdict: 'no', safety: false, toolStates: ['dropped', 'worn'],
    reason: 'A dropped tool holds grit until it is washed; a worn one scratches with its stem.',
  },
  {
    id: 'tyre-and-arch-tools-off-the-wheel', verdict: 'no', safety: false, zones: onWheel, toolDuties: ['tyre', 'arch'],
    reason: 'What scrubs rubber or liners carries grit: it never meets the wheel.',
  },
  {
    id: 'paint-tools-off-the-wheel', verdict: 'no', safety: false, toolDuties: ['paint'],
    reason: 'Tools for the paint and tools for wheels never meet.',
  },
  {
    id: 'jet-at-film-edges', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['filmWrapped'], pressureAboveBar: 0,
    reason: 'A jet lifts the edge of a film, and water under it stays.',
    care: 'Film: wide fan, at least half a metre away, never into an edge.',
  },
  {
    id: 'jet-at-open-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: ['peeling', 'chipped', 'corroded'], pressureAboveBar: 0,
    reason: 'A jet gets under open lacquer and lifts it.',
    care: 'Open lacquer: wide fan, from the sound side, not into the edge.',
  },
  {
    id: 'pressure-too-high', verdict: 'no', safety: true, pressureAboveBar: 140,
    reason: 'Above 140 bar a jet cuts rubber, lifts lacquer and injures. Less is fine.',
  },
] // prettier-ignore
