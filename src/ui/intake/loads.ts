import type { ZoneLoads } from '@/core/soils/zoneLoads'
import type { Grade, Soil } from '@/core/soils/soil'
import { axleOf, type Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'

export type LoadsByWheel = Partial<Record<Position, ZoneLoads>>

export interface LoadEntry {
  readonly zone: Zone
  readonly soil: Soil
  readonly grade: Grade
}

/** Soils that can be on a zone, the usual ones first. */
export const soilsOfZone = (zone: Zone): readonly Soil[] => {
  if (zone === 'tyre') return ['tyreBrowning', 'film']
  if (zone === 'arch') return ['grit', 'film', 'organic']
  return ['freshDust', 'bondedDust', 'film', 'tar', 'mineral', 'organic', 'grit']
}

export const withGrade = (loads: ZoneLoads, zone: Zone, soil: Soil, grade: Grade): ZoneLoads => ({
  ...loads,
  [zone]: { ...loads[zone], [soil]: grade },
})

export const loadsOfEntries = (entries: readonly LoadEntry[]): ZoneLoads =>
  entries.reduce<ZoneLoads>((loads, { zone, soil, grade }) => withGrade(loads, zone, soil, grade), {})

export const entriesOfLoads = (loads: ZoneLoads): LoadEntry[] =>
  Object.entries(loads).flatMap(([zone, bySoil]) =>
    Object.entries(bySoil)
      .filter(([, grade]) => grade > 0)
      .map(([soil, grade]) => ({ zone: zone as Zone, soil: soil as Soil, grade })),
  )

/** Copies one wheel's loads to its axle or to all wheels. */
export function copyLoads(
  all: LoadsByWheel,
  from: Position,
  to: 'axle' | 'all',
  positions: readonly Position[],
): LoadsByWheel {
  const source = all[from] ?? {}
  const targets = positions.filter((position) => to === 'all' || axleOf(position) === axleOf(from))
  return { ...all, ...Object.fromEntries(targets.map((position) => [position, source])) }
}

/** The heaviest dirt of a wheel in a few words' worth of data. */
export function heaviest(loads: ZoneLoads, most = 2): { soil: Soil; grade: Grade }[] {
  const worst = new Map<Soil, Grade>()
  for (const { soil, grade } of entriesOfLoads(loads))
    worst.set(soil, Math.max(grade, worst.get(soil) ?? 0) as Grade)
  return [...worst]
    .map(([soil, grade]) => ({ soil, grade }))
    .sort((a, b) => b.grade - a.grade)
    .slice(0, most)
}
