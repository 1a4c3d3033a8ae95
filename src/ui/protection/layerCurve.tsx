'use client'

import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import {
  Chart,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartOptions,
} from 'chart.js'
import annotation from 'chartjs-plugin-annotation'
import { Line } from 'react-chartjs-2'
import type { CoursePoint } from '@/core/protection/layerCourse'
import { colourOf, useThemeRepaint } from '../chartTheme'

Chart.register(LinearScale, LineElement, PointElement, Filler, Tooltip, annotation)

export interface LayerCurveProps {
  readonly label: string
  readonly course: readonly CoursePoint[]
  readonly looks: readonly { readonly at: Date; readonly beading: number; readonly afterReviving: boolean }[]
  readonly washes: readonly { readonly at: Date; readonly reviving: boolean }[]
  readonly winters: readonly { readonly from: Date; readonly to: Date }[]
  readonly now: Date
}

/** Within half a year days are told, milliseconds. */
const shortSpan = 183 * 86_400_000

const percent = (share: number): number => Math.round(share * 100)

/** The life of a layer: what is left with its fan, looks as they were seen, washes below, winters behind. */
export function LayerCurve({ label, course, looks, washes, winters, now }: LayerCurveProps) {
  const formats = useFormats()
  const t = useTranslations()

  useThemeRepaint()
  const [line, soft, water, ink, warm] = ['--line', '--ink-soft', '--water-fill', '--ink', '--warm-fill'].map(
    colourOf,
  )
  const points = (read: (point: CoursePoint) => number) =>
    course.map((point) => ({ x: point.at.getTime(), y: percent(read(point)) }))
  const data: ChartData<'line', { x: number; y: number }[]> = {
    datasets: [
      { label: t('protection.curve.best'), data: points(({ high }) => high), borderWidth: 0, pointRadius: 0, fill: '+1', backgroundColor: `${water}44` },
      { label: t('protection.curve.worst'), data: points(({ low }) => low), borderWidth: 0, pointRadius: 0 },
      { label: 'left', data: points(({ left }) => left), borderColor: water, borderWidth: 2.5, pointRadius: 0 },
      {
        label: 'looks',
        data: looks.map(({ at, beading }) => ({ x: at.getTime(), y: beading * 25 })),
        showLine: false,
        pointRadius: 6,
        pointStyle: looks.map(({ afterReviving }) => (afterReviving ? 'rectRot' : 'circle')),
        pointBackgroundColor: ink,
        pointBorderColor: ink,
      },
      {
        label: 'washes',
        data: washes.map(({ at }) => ({ x: at.getTime(), y: 0 })),
        showLine: false,
        pointRadius: 5,
        pointStyle: 'line',
        pointRotation: 90,
        pointBorderWidth: 2,
        pointBorderColor: washes.map(({ reviving }) => (reviving ? (water ?? '') : (soft ?? ''))),
      },
    ],
  } // prettier-ignore
  const span = (course.at(-1)?.at.getTime() ?? 0) - (course[0]?.at.getTime() ?? 0)
  const isShort = span < shortSpan
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    scales: {
      x: {
        type: 'linear',
        min: course[0]?.at.getTime(),
        max: course.at(-1)?.at.getTime(),
        grid: { color: line },
        ticks: { color: soft, maxTicksLimit: 7, callback: (value) => isShort
              ? formats.day(new Date(Number(value)), new Date(Number(value)))
              : formats.month(new Date(Number(value)), 'short', true) },
      },
      y: {
        min: 0,
        max: 100,
        grid: { color: line },
        ticks: { color: soft, stepSize: 25, callback: (value) => `${value} %` },
      },
    },
    plugins: {
      legend: { display: false },
      tooltip: {
        callbacks: {
          title: ([item]) => (item ? formats.fullDay(new Date(item.parsed.x ?? 0)) : ''),
          label: (item) => `${item.dataset.label}: ${Math.round(item.parsed.y ?? 0)} %`,
        },
      },
      annotation: {
        annotations: {
          ...Object.fromEntries(
            winters.map(({ from, to }, at) => [
              `winter${at}`,
              { type: 'box', xMin: from.getTime(), xMax: to.getTime(), backgroundColor: `${line}55`, borderWidth: 0, drawTime: 'beforeDatasetsDraw' },
            ]),
          ),
          now: { type: 'line', xMin: now.getTime(), xMax: now.getTime(), borderColor: ink, borderWidth: 1 },
          topUp: { type: 'line', yMin: 25, yMax: 25, borderColor: warm, borderWidth: 1, borderDash: [5, 4] },
        },
      },
    },
  } // prettier-ignore
  return (
    <div className="layer-chart">
      <Line data={data} options={options} role="img" aria-label={label} />
    </div>
  )
}
