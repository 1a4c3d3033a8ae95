import type { Soil } from '@/core/soils/soil'

/** How each soil is drawn, wherever it is. */
export const soilClass: Record<Soil, string> = {
  grit: 'speck-grit', film: 'speck-film', freshDust: 'speck-dust', bondedDust: 'speck-iron', tar: 'speck-tar',
  mineral: 'speck-mineral', organic: 'speck-organic', tyreBrowning: 'speck-brown',
} // prettier-ignore
