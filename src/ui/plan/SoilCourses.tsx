import { useTranslations } from 'next-intl'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { Position } from '@/core/wheel/position'
import type { SpokenPlan } from '@/i18n/spoken'
import { Deeper } from './Deeper'

const SoilChart = dynamic(() => import('./SoilChart').then((module) => module.SoilChart), { ssr: false })

interface SoilCoursesProps {
  readonly plan: SpokenPlan
  readonly positions: readonly Position[]
}

/** What is left of each soil after each stage, wheel by wheel where they differ. */
export function SoilCourses({ plan, positions }: SoilCoursesProps) {
  'use memo'
  const t = useTranslations()

  const [shown, setShown] = useState<Position>(positions[0] ?? 'frontLeft')
  const courses = plan.soil.filter(({ corners }) => corners.includes(shown))
  if (courses.length === 0) return null
  return (
    <Deeper title={t('plan.soil.title')} hint={t('plan.soil.hint')}>
      {plan.soil.some(({ corners }) => !corners.includes(shown)) && (
        <div className="chips mt-2" role="group" aria-label={t('plan.soil.wheel')}>
          {positions.map((position) => (
            <button
              key={position}
              type="button"
              className="chip"
              aria-pressed={position === shown}
              onClick={() => setShown(position)}
            >
              {t(`terms.positionShort.${position}`)}
            </button>
          ))}
        </div>
      )}
      <SoilChart courses={courses} stages={plan.stages} />
      <p className="soft">{t('plan.soil.explained')}</p>
    </Deeper>
  )
}
