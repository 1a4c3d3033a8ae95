import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { protectionFacts } from '@/core/protection/kinds'
import type { Position } from '@/core/wheel/position'
import type { LiveProtection } from '@/core/due'
import { drawnWheels, type WheelEntryLike } from '../wheel-drawing/drawnWheel'
import { Stance } from '../wheel-drawing/Stance'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'

interface WheelsShownProps {
  readonly wheels: readonly WheelEntryLike[]
  readonly layers: readonly LiveProtection[]
}

/** What is left longest on a wheel; null: nothing is known to be on it. */
const leftAt = (layers: readonly LiveProtection[], at: Position): LiveProtection | null =>
  layers
    .filter(({ position, kind }) => position === at && protectionFacts[kind].on === 'wheel')
    .sort((a, b) => b.leftShare - a.leftShare)[0] ?? null

const finishText = (finishes: WheelEntryLike['finishes'], t: Translator): string =>
  finishes
    .map(
      ({ zone, finish, condition }) =>
        `${t(`terms.zone.${zone}`)} ${t(`terms.finish.${finish}`)}${condition === 'sound' ? '' : ` (${t(`terms.condition.${condition}`)})`}`,
    )
    .join(', ') || t('wheels.shown.unknownFinish')

/** The wheels of a set as they stand on the vehicle, each with what is left on it. */
export function WheelsShown({ wheels, layers }: WheelsShownProps) {
  const t = useTranslations()

  return (
    <section aria-label={t('wheels.shown.label')}>
      <Stance wheels={drawnWheels(wheels)}>
        {(wheel) => {
          const left = leftAt(layers, wheel.position)
          const entry = wheels.find(({ position }) => position === wheel.position)
          return (
            <>
              <WheelDrawing
                {...wheel}
                id={wheel.position}
                label={t('wheels.shown.drawing', {
                  wheel: t(`terms.position.${wheel.position}`),
                  spokes: wheel.wheel.spokeCount,
                  finish: t(`terms.finish.${wheel.finishes.face?.finish ?? 'unknown'}`),
                })}
                ring={{
                  share: left?.leftShare ?? 0,
                  tone: 'protection',
                  sureness: left?.sureness ?? 'sure',
                }}
              />
              <h3>{t(`terms.position.${wheel.position}`)}</h3>
              <p className="soft">
                {t('wheels.shown.tyre', {
                  code: entry?.tyreCode ?? '–',
                  width: String(entry?.rimWidthInches ?? '–'),
                })}
                <br />
                {left
                  ? t('wheels.shown.left', {
                      product: left.productName,
                      percent: Math.round(left.leftShare * 100),
                    })
                  : t('wheels.shown.noProtection')}
              </p>
            </>
          )
        }}
      </Stance>
      <p className="soft mt-3">
        {t('wheels.shown.legend', { finishes: finishText(wheels[0]?.finishes ?? [], t) })}
      </p>
    </section>
  )
}
