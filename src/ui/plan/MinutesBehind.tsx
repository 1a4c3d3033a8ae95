import type { Formats } from '@/i18n/formats'
import { useFormats } from '@/i18n/useFormats'
import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { bold } from '@/i18n/rich'
import { contactOf } from '@/core/operator-time/operatorTime'
import type { Act } from '@/core/plan/plan'
import { sayWhere } from '@/core/reasons/sayCorners'
import { millimetresPerInch } from '@/core/tyre/tyreCode'
import { spokeGapMillimetres, wheelGeometry } from '@/core/wheel-geometry'
import type { Position } from '@/core/wheel/position'
import type { JobFile } from '@/contracts/jobFile'
import { capitalised } from '@/i18n/sayer'
import { useSay } from '@/i18n/useSay'

const times = (factor: number, formats: Formats): string => `${formats.number(factor, 2)} ×`

/** Wheels that ask for the same contact, in words. */
function wheelsByContact(
  { corners, estimates }: Pick<JobFile, 'corners' | 'estimates'>,
  t: Translator,
  formats: Formats,
) {
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
    const text = t('plan.minutes.wheel', {
      spokes: spokeCount,
      gap: formats.quantity(gap, 'length'),
      open: Math.round(openness * 100),
      hardware: hardwarePieces,
      factor: times(factor, formats),
      extra: hardwareSeconds === 0 ? 'none' : hardwareSeconds > 0 ? 'more' : 'less',
      seconds: Math.abs(hardwareSeconds),
    })
    byText.set(text, [...(byText.get(text) ?? []), corner.position])
  }
  return [...byText].map(([text, positions]) => ({ text, positions }))
}

/** Where the minutes come from: the wheels' geometry and the person's own logged times. */
export function MinutesBehind({ jobFile }: { jobFile: Pick<JobFile, 'corners' | 'estimates' | 'pace'> }) {
  'use memo'
  const formats = useFormats()
  const t = useTranslations()
  const say = useSay()

  const positions = jobFile.corners.map(({ position }) => position)
  const paces = Object.entries(jobFile.pace).flatMap(([act, pace]) =>
    pace ? [{ act: act as Act, ...pace }] : [],
  )
  return (
    <details className="order">
      <summary>{t('plan.minutes.title')}</summary>
      <ul>
        {wheelsByContact(jobFile, t, formats).map(({ text, positions: alike }) => (
          <li key={text}>
            <b>{capitalised(say(sayWhere(alike, positions)))}</b>: {text}
          </li>
        ))}
        {paces.map(({ act, factor, times: count }) => (
          <li key={act}>
            {t.rich('plan.minutes.own', {
              b: bold,
              act: t(`plan.minutes.acts.${act}`),
              factor: times(factor, formats),
              count,
            })}
          </li>
        ))}
        {paces.length === 0 && <li className="soft">{t('plan.minutes.none')}</li>}
      </ul>
    </details>
  )
}
