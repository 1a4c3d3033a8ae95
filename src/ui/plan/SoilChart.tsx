'use client'

import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import {
  CategoryScale,
  Chart,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartOptions,
} from 'chart.js'
import { memo } from 'react'
import { Line } from 'react-chartjs-2'
import type { SoilCourse, Stage } from '@/core/plan/plan'
import type { Soil } from '@/core/soils/soil'
import { colourOf, useThemeRepaint } from '../chartTheme'

Chart.register(CategoryScale, LinearScale, PointElement, LineElement, Filler, Tooltip)

/** A dash and a point of its own for each soil: colour never speaks alone. */
const marks: Partial<
  Record<Soil, { readonly dash: number[]; readonly point: string; readonly tone: string }>
> = {
  film: { dash: [], point: 'circle', tone: '--ink' },
  freshDust: { dash: [6, 3], point: 'rect', tone: '--ink-soft' },
  bondedDust: { dash: [], point: 'triangle', tone: '--chemistry' },
  tar: { dash: [2, 3], point: 'rectRot', tone: '--ink' },
  mineral: { dash: [8, 3, 2, 3], point: 'cross', tone: '--water' },
  organic: { dash: [3, 3], point: 'star', tone: '--warm' },
}

interface SoilChartProps {
  readonly courses: readonly SoilCourse[]
  readonly stages: readonly Stage[]
}

/** What is left of each soil after every stage, on the doubling scale, with the band of the estimate. */
export const SoilChart = memo(function SoilChart({ courses, stages }: SoilChartProps) {
  const formats = useFormats()
  const t = useTranslations()
  useThemeRepaint()
  const [first] = courses
  if (!first) return null
  const nameOf = (id: string | null) =>
    id === null ? t('plan.soil.now') : (stages.find((stage) => stage.id === id)?.productName ?? '')
  const data: ChartData<'line'> = {
    labels: first.left.map(({ stageId }) => nameOf(stageId)),
    datasets: courses.flatMap(({ soil, left }) => {
      const { dash, point, tone } = marks[soil] ?? { dash: [], point: 'circle', tone: '--ink' }
      const colour = colourOf(tone)
      const line = {
        label: t(`terms.soil.${soil}`),
        data: left.map(({ expected }) => expected),
        borderColor: colour,
        backgroundColor: colour,
        borderDash: dash,
        borderWidth: 2,
        pointStyle: point,
        pointRadius: 5,
      }
      const edge = (read: (one: (typeof left)[number]) => number, fill: false | string) => ({
        label: '',
        data: left.map(read),
        borderWidth: 0,
        pointRadius: 0,
        backgroundColor: `color-mix(in srgb, ${colour} 12%, transparent)`,
        fill,
      })
      return [line, edge(({ high }) => high, false), edge(({ low }) => low, '-1')]
    }),
  }
  const ink = colourOf('--ink-soft')
  const options: ChartOptions<'line'> = {
    responsive: true,
    maintainAspectRatio: false,
    animation: false,
    plugins: {
      legend: { display: false },
      tooltip: {
        filter: ({ dataset }) => dataset.label !== '',
        callbacks: {
          label: ({ dataset, parsed }) =>
            t('plan.soil.point', { soil: dataset.label ?? '', amount: formats.number(parsed.y ?? 0, 2) }),
        },
      },
    },
    scales: {
      y: {
        beginAtZero: true,
        title: { display: true, text: t('plan.soil.axis'), color: ink },
        ticks: { color: ink },
        grid: { color: colourOf('--line') },
      },
      x: { ticks: { color: ink }, grid: { display: false } },
    },
  }
  return (
    <div className="soil-chart">
      <div style={{ height: 210 }}>
        <Line data={data} options={options} role="img" aria-label={t('plan.soil.chart')} />
      </div>
      <ul className="soil-key">
        {courses.map(({ soil, left, target }) => {
          const end = left.at(-1)
          return (
            <li key={soil}>
              <b>{t(`terms.soil.${soil}`)}</b> {formats.number(left[0]?.expected ?? 0, 0)} →{' '}
              {formats.number(end?.expected ?? 0, 2)}{' '}
              <span className="soft">
                {t('plan.soil.end', {
                  low: formats.number(end?.low ?? 0, 2),
                  high: formats.number(end?.high ?? 0, 2),
                  target: target === null ? 'none' : formats.number(target, 2),
                })}
              </span>
            </li>
          )
        })}
      </ul>
    </div>
  )
})
