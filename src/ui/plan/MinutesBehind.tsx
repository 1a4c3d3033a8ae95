import { contactOf } from '@/core/effort/operatorTime'
import type { Act } from '@/core/plan/plan'
import { capital, nameCorners } from '@/core/words/sayPlan'
import { millimetresPerInch } from '@/core/tyre/tyreCode'
import { spokeGapMillimetres, wheelGeometry } from '@/core/wheel-geometry'
import type { Position } from '@/core/wheel/position'
import type { JobFile } from '@/contracts/jobFile'

const actNames: Record<Act, string> = {
  lookRound: 'Looking round',
  coolCheck: 'Checking for heat',
  getReady: 'Getting ready',
  preRinse: 'The first rinse',
  spray: 'Spraying',
  reMist: 'Misting again',
  agitate: 'Brushing a wheel',
  scrub: 'Scrubbing rubber and liners',
  wipe: 'Wiping',
  rinse: 'Rinsing',
  lookAgain: 'Looking again',
  dry: 'Drying',
  testSpot: 'A test spot',
  protect: 'Protecting',
  dress: 'Dressing tyres',
  hub: 'Cleaning a hub',
  roll: 'Rolling half a turn',
  body: 'Washing the body',
  brakes: 'Bedding the brakes',
  writeDown: 'Writing it down',
}

const times = (factor: number): string => `${factor.toFixed(2)} ×`

/** Wheels that ask for the same contact, in words. */
function wheelsByContact({ corners, estimates }: Pick<JobFile, 'corners' | 'estimates'>) {
  const byText = new Map<string, Position[]>()
  for (const corner of corners) {
    const wheel = wheelGeometry(corner)
    if (!wheel.ok) continue
    const { spokeCount, spokeWidthMillimetres, tyre, openness, hardwarePieces } = wheel.value
    const { factor, hardwareSeconds } = contactOf(wheel.value, estimates)
    const gap = spokeGapMillimetres(
      spokeCount,
      spokeWidthMillimetres,
      tyre.rimDiameterInches * millimetresPerInch,
    )
    const text = [
      spokeCount > 0 ? `${spokeCount} spokes, ${gap.toFixed(0)} mm gaps` : 'no spokes',
      `${(openness * 100).toFixed(0)} % open`,
      `${hardwarePieces} pieces of hardware:`,
      `${times(factor)} the contact time of an open ten-spoke wheel`,
      ...(hardwareSeconds === 0
        ? []
        : [`and ${Math.abs(hardwareSeconds)} s ${hardwareSeconds > 0 ? 'more' : 'less'}`]),
    ].join(', ')
    byText.set(text, [...(byText.get(text) ?? []), corner.position])
  }
  return [...byText].map(([text, positions]) => ({ text: text.replace(':,', ':'), positions }))
}

/** Where the minutes come from: the wheels' geometry and the person's own logged times. */
export function MinutesBehind({ jobFile }: { jobFile: Pick<JobFile, 'corners' | 'estimates' | 'pace'> }) {
  'use memo'
  const positions = jobFile.corners.map(({ position }) => position)
  const paces = Object.entries(jobFile.pace).flatMap(([act, pace]) =>
    pace ? [{ act: act as Act, ...pace }] : [],
  )
  return (
    <details className="order">
      <summary>Where the minutes come from</summary>
      <ul>
        {wheelsByContact(jobFile).map(({ text, positions: alike }) => (
          <li key={text}>
            <b>{capital(nameCorners(alike, positions))}</b>: {text}.
          </li>
        ))}
        {paces.map(({ act, factor, times: count }) => (
          <li key={act}>
            <b>{actNames[act]}</b> takes you {times(factor)} the house’s time, by {count}{' '}
            {count === 1 ? 'logged time' : 'logged times'}.
          </li>
        ))}
        {paces.length === 0 && (
          <li className="soft">Finish a job in the bay and your own times count here.</li>
        )}
      </ul>
    </details>
  )
}
