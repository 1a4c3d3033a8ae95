import type { Act } from '@/core/plan/plan'

const partNames: Record<number, readonly string[]> = {
  2: ['first half', 'second half'],
  3: ['first third', 'second third', 'last third'],
  4: ['first quarter', 'second quarter', 'third quarter', 'last quarter'],
}
/** Which part of a wheel, in words: second half. */
export const partName = (part: number, of: number): string => partNames[of]?.[part - 1] ?? ''

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
