import { usualJug, type Jug } from '@/core/units/jug'
import { usualRegion, type Region } from '@/core/units/region'

/** Marks of usual jugs; a shop that has another keeps it. */
const jugs = {
  m5: { system: 'metric', stepMillilitres: 5 },
  m10: { system: 'metric', stepMillilitres: 10 },
  us: usualJug.us,
  imperial: usualJug.imperial,
} as const satisfies Record<string, Jug>

export type JugChoice = keyof typeof jugs | 'own'
const usualChoices = Object.keys(jugs) as (keyof typeof jugs)[]

export const jugChoiceOf = ({ system, stepMillilitres }: Jug): JugChoice =>
  usualChoices.find(
    (choice) =>
      jugs[choice].system === system && Math.abs(jugs[choice].stepMillilitres - stepMillilitres) < 0.05,
  ) ?? 'own'

/** What can be chosen; marks that are not usual only where the shop has them. */
export const jugChoices = (jug: Jug): readonly JugChoice[] =>
  jugChoiceOf(jug) === 'own' ? [...usualChoices, 'own'] : usualChoices

export const withJug = (region: Region, choice: JugChoice): Region =>
  choice === 'own' ? region : { ...region, jug: jugs[choice] }

/** Another English brings its usual units and jug; each can be chosen otherwise afterwards. */
export const withEnglish = (english: Region['english']): Region => usualRegion(english)

/** Other bottles bring the jug that belongs to them. */
export const withUnit = <Kind extends keyof Region['units']>(
  region: Region,
  kind: Kind,
  unit: Region['units'][Kind],
): Region => {
  const units = { ...region.units, [kind]: unit }
  return { ...region, units, jug: kind === 'volume' ? usualJug[units.volume] : region.jug }
}
