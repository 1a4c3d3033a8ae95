'use client'

import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import {
  Chart,
  Filler,
  Legend,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
} from 'chart.js'
import annotation from 'chartjs-plugin-annotation'
import { memo } from 'react'
import { Line } from 'react-chartjs-2'
import { coolingCelsius, type Cooling } from '@/core/conditions/hotBrakes'
import type { WorkHour } from '@/core/timing/workHours'
import { colourOf, useThemeRepaint } from '../chartTheme'

Chart.register(LinearScale, PointElement, LineElement, Filler, Tooltip, Legend, annotation)

interface CoolingCurveProps {
  readonly secondCelsius: number
  readonly airCelsius: number
  readonly okCelsius: number
  readonly cooling: Cooling
}

/** The brake from the second reading on, and the line it has to fall under. */
export const CoolingCurve = memo(function CoolingCurve(props: CoolingCurveProps) {
  const { secondCelsius, airCelsius, okCelsius, cooling } = props
  const t = useTranslations()
  const formats = useFormats()
  useThemeRepaint()
  const inUnit = (celsius: number): number => formats.chartValue(celsius, 'temperature')
  const until = Math.ceil(cooling.waitMinutes * 1.25)
  const ink = colourOf('--ink-soft')
  const points = Array.from({ length: 41 }, (_, at) => {
    const minutes = (until * at) / 40
    return { x: minutes, y: inUnit(coolingCelsius(secondCelsius, airCelsius, cooling.tauMinutes, minutes)) }
  })
  const options: ChartOptions<'line'> = {
    maintainAspectRatio: false,
    animation: false,
    plugins: {
      legend: { display: false },
      annotation: {
        annotations: {
          cool: {
            type: 'line',
            yMin: inUnit(okCelsius),
            yMax: inUnit(okCelsius),
            borderColor: colourOf('--water'),
            borderWidth: 2,
            borderDash: [6, 4],
          },
        },
      },
    },
    scales: {
      x: {
        type: 'linear',
        max: until,
        title: { display: true, text: t('conditions.brakes.minutes'), color: ink },
        ticks: { color: ink },
        grid: { display: false },
      },
      y: {
        title: { display: true, text: formats.unitSymbol('temperature'), color: ink },
        ticks: { color: ink },
        grid: { color: colourOf('--line') },
      },
    },
  }
  return (
    <div style={{ height: 150 }}>
      <Line
        role="img"
        aria-label={t('conditions.brakes.curve', {
          limit: formats.quantity(okCelsius, 'temperature'),
          minutes: Math.ceil(cooling.waitMinutes),
        })}
        data={{
          datasets: [{ data: points, borderColor: colourOf('--warm'), borderWidth: 2, pointRadius: 0 }],
        }}
        options={options}
      />
    </div>
  )
})

export interface DaySide {
  readonly name: string
  readonly hours: readonly WorkHour[]
}

interface DayCurvesProps {
  readonly sides: readonly DaySide[]
  readonly startHour: number | null
  readonly goodSeconds: number
}

/** Minutes beyond this are as good as any. */
const maxMinutes = 12

/** Surface temperature and wet limit by the hour, for the warmer and the cooler side; good hours are shaded. */
export const DayCurves = memo(function DayCurves({ sides, startHour, goodSeconds }: DayCurvesProps) {
  const formats = useFormats()
  const t = useTranslations()
  useThemeRepaint()
  const ink = colourOf('--ink-soft')
  const isGood = (hour: number) =>
    sides.every(({ hours }) => {
      const limit = hours.find((one) => one.hour === hour)?.wetLimitSeconds
      return limit === null || (limit ?? 0) >= goodSeconds
    })
  const tones = [colourOf('--warm'), colourOf('--water')]
  const dashes = [[], [6, 4]]
  const options: ChartOptions<'line'> = {
    maintainAspectRatio: false,
    animation: false,
    plugins: {
      legend: {
        position: 'bottom',
        labels: { color: ink, usePointStyle: true, pointStyleWidth: 16, boxHeight: 6 },
      },
      annotation: {
        annotations: {
          ...Object.fromEntries(
            Array.from({ length: 17 }, (_, at) => at + 5)
              .filter(isGood)
              .map((hour) => [
                `good${hour}`,
                {
                  type: 'box' as const,
                  xMin: hour - 0.5,
                  xMax: hour + 0.5,
                  backgroundColor: `color-mix(in srgb, ${colourOf('--water')} 14%, transparent)`,
                  borderWidth: 0,
                },
              ]),
          ),
          ...(startHour === null
            ? {}
            : {
                start: {
                  type: 'line' as const,
                  xMin: startHour,
                  xMax: startHour,
                  borderColor: colourOf('--ink'),
                  borderWidth: 2,
                },
              }),
        },
      },
    },
    scales: {
      x: {
        type: 'linear',
        min: 5,
        max: 21,
        ticks: { color: ink, stepSize: 4, maxRotation: 0, callback: (value) => formats.hour(Number(value)) },
        grid: { display: false },
      },
      celsius: {
        position: 'left',
        title: {
          display: true,
          text: t('conditions.day.surface', { unit: formats.unitSymbol('temperature') }),
          color: ink,
        },
        ticks: { color: ink },
        grid: { color: colourOf('--line') },
      },
      minutes: {
        position: 'right',
        min: 0,
        max: maxMinutes,
        title: { display: true, text: t('conditions.day.staysWet'), color: ink },
        ticks: { color: ink },
        grid: { display: false },
      },
    },
  }
  return (
    <div style={{ height: 230 }}>
      <Line
        role="img"
        aria-label={t('conditions.day.curves', {
          hours:
            Array.from({ length: 17 }, (_, at) => at + 5)
              .filter(isGood)
              .map((hour) => formats.hour(hour))
              .join(', ') || t('conditions.day.noGoodHours'),
        })}
        data={{
          datasets: sides.flatMap(({ name, hours }, at) => [
            {
              label: t('conditions.day.sideSurface', { side: name, unit: formats.unitSymbol('temperature') }),
              yAxisID: 'celsius',
              data: hours.map(({ hour, surfaceCelsius }) => ({
                x: hour,
                y: formats.chartValue(surfaceCelsius, 'temperature'),
              })),
              borderColor: tones[at],
              borderWidth: 2,
              borderDash: dashes[at],
              pointRadius: 0,
              pointStyle: 'line' as const,
            },
            {
              label: t('conditions.day.sideStaysWet', { side: name }),
              yAxisID: 'minutes',
              data: hours.map(({ hour, wetLimitSeconds }) => ({
                x: hour,
                y: Math.min(maxMinutes, (wetLimitSeconds ?? maxMinutes * 60) / 60),
              })),
              borderColor: tones[at],
              borderWidth: 1.5,
              borderDash: dashes[at],
              pointRadius: 3,
              pointStyle: at === 0 ? 'triangle' : 'rect',
              backgroundColor: tones[at],
            },
          ]),
        }}
        options={options}
      />
    </div>
  )
})
