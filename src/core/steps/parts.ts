import type { Act } from '@/core/plan/plan'
import type { Zone } from '@/core/wheel/zone'

const sectorNames: Record<number, readonly string[]> = {
  2: ['upper half', 'lower half'],
  3: ['upper third', 'middle third', 'lower third'],
  4: ['upper left quarter', 'upper right quarter', 'lower right quarter', 'lower left quarter'],
}
const zonePartNames = ['barrel and backs', 'face and details'] as const

/** What is worked from behind and between the spokes, before what one sees. */
const behind: readonly Zone[] = ['barrel', 'spokeBacks', 'windows']

/** One part of a wheel: its name, and the zones it is made of. */
export interface WheelPart {
  readonly name: string
  readonly zones: readonly Zone[]
}

/** A part of a wheel that is worked in parts: by zones where there are both kinds, else by sectors that go through all of them. */
export function wheelPart(part: number, of: number, zones: readonly Zone[], isByZones: boolean): WheelPart {
  const isBehind = (zone: Zone): boolean => behind.includes(zone)
  if (of === 2 && isByZones && zones.some(isBehind) && !zones.every(isBehind))
    return {
      name: zonePartNames[part - 1] ?? '',
      zones: zones.filter((zone) => isBehind(zone) === (part === 1)),
    }
  return { name: sectorNames[of]?.[part - 1] ?? '', zones }
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
