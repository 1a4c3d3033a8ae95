import type { Finish } from '@/core/finishes/finish'
import { wheelZones, type Zone } from '@/core/wheel/zone'

export const onWheel: readonly Zone[] = [...wheelZones, 'caliper']

/** Finishes under lacquer or paint. */
export const lacquered: readonly Finish[] = [
  'paintedGloss',
  'glossBlack',
  'matte',
  'powderCoat',
  'diamondCut',
  'paintedSteel',
]

/** Finishes of plastic or resin at the surface. */
export const softSkins: readonly Finish[] = ['filmWrapped', 'carbonFibre', 'plasticTrim']
