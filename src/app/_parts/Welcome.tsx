import { useTranslations } from 'next-intl'
import { Link } from '@/ui/Link'
import { drawnWheel } from '@/ui/wheel-drawing/drawnWheel'
import { WheelDrawing } from '@/ui/wheel-drawing/WheelDrawing'

const example = drawnWheel({
  position: 'frontLeft',
  tyreCode: '245/40 R19',
  rimWidthInches: 8.5,
  spokeCount: 9,
  spokeWidthMillimetres: 34,
  spokeDepthMillimetres: 48,
  finishes: [
    { zone: 'face', finish: 'paintedGloss', condition: 'sound' },
    { zone: 'windows', finish: 'matte', condition: 'sound' },
    { zone: 'barrel', finish: 'paintedGloss', condition: 'sound' },
    { zone: 'lip', finish: 'diamondCut', condition: 'sound' },
    { zone: 'cap', finish: 'chrome', condition: 'sound' },
  ],
})

/** The first screen of an empty shop: what the program does, and one way forward. */
export function Welcome() {
  const t = useTranslations()

  return (
    <div className="welcome">
      <div>
        <h1>{t('today.welcome.title')}</h1>
        <ol>
          <li>{t('today.welcome.describe')}</li>
          <li>{t('today.welcome.grade')}</li>
          <li>{t('today.welcome.plan')}</li>
          <li>{t('today.welcome.work')}</li>
          <li>{t('today.welcome.due')}</li>
        </ol>
        <Link href="/wheels/new" className="btn btn-primary">
          {t('today.welcome.add')}
        </Link>
        <p className="soft mt-3">{t('today.welcome.products')}</p>
      </div>
      {example && (
        <WheelDrawing
          {...example}
          id="welcome"
          label={t('today.welcome.drawing')}
          loads={{ face: { freshDust: 2, bondedDust: 2 }, barrel: { freshDust: 3 } }}
          ring={{ share: 0.62, tone: 'protection' }}
        />
      )}
    </div>
  )
}
