import type { Delivery } from '@/core/chemistry/family'
import type { Act } from './plan'

/** Working mix a delivery lays down on a square metre, ml. House estimates. */
export const coverageMillilitresPerM2: Record<Delivery, { readonly value: number; readonly reason: string }> =
  {
    trigger: { value: 90, reason: 'A visibly wet, even film with a hand trigger.' },
    pumpFoamer: { value: 110, reason: 'Foam wants a little more than a thin film.' },
    lance: { value: 180, reason: 'Bottle mix; a lance is quick and generous.' },
    bucket: { value: 0, reason: 'A bucket is mixed once for the whole job.' },
    brush: { value: 60, reason: 'A thin coat with a primed applicator.' },
    cloth: { value: 25, reason: 'A few sprays on a folded cloth.' },
  }

/** Spray that goes through an open wheel is lost: use is area times 1 + this times openness. House estimate. */
export const openWheelWaste = {
  value: 0.35,
  reason: 'About a third of what is aimed at a gap ends up on the floor.',
}

/** Seconds of hand time for one act at one wheel of middling size. House estimates. */
export const actSeconds: Record<Act, { readonly value: number; readonly reason: string }> = {
  lookRound: { value: 150, reason: 'A walk round the vehicle with a torch and a thin bag.' },
  coolCheck: { value: 30, reason: 'A hand or a thermometer at each wheel.' },
  getReady: { value: 120, reason: 'Gloves, glasses, bottles, hose guides.' },
  preRinse: { value: 55, reason: 'Arch, barrel, face and tyre under pressure.' },
  spray: { value: 25, reason: 'Even cover of one wheel.' },
  agitate: { value: 190, reason: 'Barrel, backs, face and details of a ten-spoke wheel.' },
  scrub: { value: 65, reason: 'A tyre quarter by quarter, or one liner.' },
  wipe: { value: 80, reason: 'Tar lumps loosened and wiped off.' },
  rinse: { value: 45, reason: 'Even passes, plenty of water.' },
  lookAgain: { value: 90, reason: 'All wheels, wet and then dry.' },
  dry: { value: 60, reason: 'Blower in lug holes and behind spokes, towel for the rest.' },
  protect: { value: 70, reason: 'Thin and even, all reachable zones.' },
  dress: { value: 55, reason: 'One sidewall, primed applicator.' },
  brakes: { value: 60, reason: 'A few metres forward and back.' },
  writeDown: { value: 60, reason: 'What was used, how it went.' },
}

/** Litres a minute of a usual pressure washer; used for rinse water. */
export const washerLitresPerMinute = {
  value: 8,
  reason: 'A common single-phase washer delivers 7 to 9 litres a minute.',
}

/** Spokes slow the hand: agitation time grows by this share for each spoke beyond ten. */
export const extraSpokeShare = { value: 0.05, reason: 'Narrow multi-spoke wheels take up to twice as long.' }
