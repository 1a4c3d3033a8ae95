import type { Condition, Finish } from './finish'

/** What a person can see and try. Absent: not answered, or not sure. */
export interface FinderAnswers {
  readonly look?: 'paintLike' | 'bright' | 'weave' | 'stripes' | 'plastic'
  /** Does it mirror like glass, or is the light spread? */
  readonly sheen?: 'gloss' | 'flat' | 'mirror'
  /** Fine rings as from a lathe on a bright face. */
  readonly rings?: boolean
  /** A dab of metal polish on a white cloth at a hidden spot. */
  readonly cloth?: 'black' | 'clean'
  /** A magnet holds. */
  readonly magnet?: boolean
  /** An edge of film can be felt. */
  readonly filmEdge?: boolean
  readonly colour?: 'black' | 'other'
  readonly damage?: Condition
}

/** What is asked, in order, with what can be answered; said by `wheelSet.finder.questions`. */
export const finderQuestions = [
  { name: 'look', choices: ['paintLike', 'bright', 'weave', 'plastic'] },
  { name: 'sheen', choices: ['gloss', 'flat', 'mirror'] },
  { name: 'rings', choices: [true, false] },
  { name: 'cloth', choices: ['black', 'clean'] },
  { name: 'magnet', choices: [true, false] },
  { name: 'filmEdge', choices: [true, false] },
  { name: 'colour', choices: ['black', 'other'] },
] as const

/** What to mind, said by `wheelSet.finder.cautions`. */
export const finderCautions = [
  'film',
  'notCarbon',
  'carbon',
  'plastic',
  'turnedBare',
  'cutFace',
  'brushedBare',
  'polishedBare',
  'chrome',
  'anodised',
  'clothTest',
  'matte',
  'steel',
  'glossBlack',
  'lacquer',
  'unknown',
] as const
type FinderCaution = (typeof finderCautions)[number]

export interface FinderResult {
  readonly finish: Finish
  readonly confidence: 'sure' | 'likely' | 'guess'
  readonly caution: FinderCaution
}

const result = (
  finish: Finish,
  confidence: FinderResult['confidence'],
  caution: FinderCaution,
): FinderResult => ({
  finish,
  confidence,
  caution,
})

/** A finish from what was seen and tried; what stays open is planned as bare metal. */
export function findFinish(answers: FinderAnswers): FinderResult {
  const { look, sheen, rings, cloth, magnet, filmEdge, colour } = answers
  if (filmEdge) return result('filmWrapped', 'sure', 'film')
  if (look === 'weave') {
    return cloth === 'black'
      ? result('unknown', 'guess', 'notCarbon')
      : result('carbonFibre', 'sure', 'carbon')
  }
  if (look === 'plastic') return result('plasticTrim', 'sure', 'plastic')
  if (rings) {
    return cloth === 'black'
      ? result('brushedBare', 'likely', 'turnedBare')
      : result('diamondCut', cloth === 'clean' ? 'sure' : 'likely', 'cutFace')
  }
  if (cloth === 'black') {
    return sheen === 'flat'
      ? result('brushedBare', 'sure', 'brushedBare')
      : result('polishedBare', 'sure', 'polishedBare')
  }
  if (look === 'bright') {
    if (sheen === 'mirror') return result('chrome', cloth === 'clean' ? 'likely' : 'guess', 'chrome')
    if (cloth === 'clean') return result('anodised', 'guess', 'anodised')
    return result('unknown', 'guess', 'clothTest')
  }
  if (look === 'paintLike') {
    if (sheen === 'flat') return result('matte', cloth === 'clean' ? 'sure' : 'likely', 'matte')
    if (magnet) return result('paintedSteel', 'likely', 'steel')
    if (colour === 'black') return result('glossBlack', cloth === 'clean' ? 'sure' : 'likely', 'glossBlack')
    if (sheen === 'gloss') return result('paintedGloss', cloth === 'clean' ? 'sure' : 'likely', 'lacquer')
  }
  return result('unknown', 'guess', 'unknown')
}
