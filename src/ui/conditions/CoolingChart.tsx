'use client'

import dynamic from 'next/dynamic'

/** Charts are heavy and come when they are needed. */
export const CoolingChart = dynamic(() => import('./charts').then((module) => module.CoolingCurve), {
  ssr: false,
})
export const DayChart = dynamic(() => import('./charts').then((module) => module.DayCurves), { ssr: false })
