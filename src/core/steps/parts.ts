import { message, type Message } from '@/core/message/message'
import type { Act } from '@/core/plan/plan'
import type { Zone } from '@/core/wheel/zone'

const sectors = {
  1: [],
  2: ['upperHalf', 'lowerHalf'],
  3: ['upperThird', 'middleThird', 'lowerThird'],
  4: ['upperLeft', 'upperRight', 'lowerRight', 'lowerLeft'],
} as const
const sectorNames: Record<number, readonly Message[]> = Object.fromEntries(
  Object.entries(sectors).map(([of, names]) => [of, names.map((name) => message(`steps.parts.${name}`))]),
)
/** What hands take on one after the other: from behind and between the spokes to what one sees. */
const zoneParts: Record<number, readonly WheelPart[]> = {
  2: [
    { name: message('steps.parts.barrelAndBacks'), zones: ['barrel', 'spokeBacks', 'windows'] },
    {
      name: message('steps.parts.faceAndDetails'),
      zones: ['face', 'lip', 'lugSeats', 'cap', 'valve', 'caliper'],
    },
  ],
  3: [
    { name: message('steps.parts.barrel'), zones: ['barrel'] },
    { name: message('steps.parts.backsAndWindows'), zones: ['spokeBacks', 'windows'] },
    {
      name: message('steps.parts.faceAndDetails'),
      zones: ['face', 'lip', 'lugSeats', 'cap', 'valve', 'caliper'],
    },
  ],
  4: [
    { name: message('steps.parts.barrel'), zones: ['barrel'] },
    { name: message('steps.parts.backsAndWindows'), zones: ['spokeBacks', 'windows'] },
    { name: message('steps.parts.faceAndLip'), zones: ['face', 'lip'] },
    { name: message('steps.parts.details'), zones: ['lugSeats', 'cap', 'valve', 'caliper'] },
  ],
}

/** One part of a wheel: its name, and the zones it is made of. */
export interface WheelPart {
  readonly name: Message
  readonly zones: readonly Zone[]
}

/** A part of a wheel that is worked in parts: by zones where each has some, else by sectors that go through all of them. */
export function wheelPart(part: number, of: number, zones: readonly Zone[], isByZones: boolean): WheelPart {
  const byZones = (zoneParts[of] ?? []).map(({ name, zones: wanted }) => ({
    name,
    zones: zones.filter((zone) => wanted.includes(zone)),
  }))
  const mine = byZones[part - 1]
  return isByZones && mine && byZones.every((one) => one.zones.length > 0)
    ? mine
    : { name: sectorNames[of]?.[part - 1] ?? message('steps.wholeWheel'), zones }
}

/** The acts of a stage, round by round; within a round part by part, with mists before the brush. */
export function actsInParts(
  acts: readonly Act[],
  sections: number,
  mists: number,
): { act: Act; part: number }[] {
  const mistActs = Array.from({ length: mists }, (): Act => 'reMist')
  const withMists = (list: readonly Act[]) =>
    list.flatMap((act) => (act === 'spray' ? [act, ...mistActs] : [act]))
  if (sections === 1) return withMists(acts).map((act) => ({ act, part: 0 }))
  const rounds: Act[][] = []
  for (const act of acts) {
    if (act === 'spray' || rounds.length === 0) rounds.push([])
    rounds.at(-1)?.push(act)
  }
  return rounds.flatMap((round) =>
    Array.from({ length: sections }, (_, at) =>
      withMists(round).map((act) => ({ act, part: at + 1 })),
    ).flat(),
  )
}

/** The acts of a stage that is put on anew for every part of the wheel, round by round: one rinse for all parts. */
export const actsInCoats = (acts: readonly Act[], coats: number): { act: Act; part: number }[] =>
  acts.flatMap((act, at) => {
    if (act === 'agitate') return []
    if (act !== 'spray') return [{ act, part: 0 }]
    const works = acts[at + 1] === 'agitate'
    return Array.from({ length: works ? coats : 1 }, (_, coat): { act: Act; part: number }[] => [
      { act, part: coat + 1 },
      ...(works ? [{ act: 'agitate' as const, part: coat + 1 }] : []),
    ]).flat()
  })
