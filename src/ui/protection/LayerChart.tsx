'use client'

import dynamic from 'next/dynamic'

/** Charts are heavy and come when they are needed. */
export const LayerChart = dynamic(() => import('./layerCurve').then((module) => module.LayerCurve), {
  ssr: false,
})
