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

export const finderQuestions = [
  { name: 'look', question: 'What does it look like?', choices: [
    { value: 'paintLike', text: 'A colour, like paint' }, { value: 'bright', text: 'Bright metal' },
    { value: 'weave', text: 'A weave' }, { value: 'plastic', text: 'A plastic cover' } ] },
  { name: 'sheen', question: 'How does it shine?', choices: [
    { value: 'gloss', text: 'Gloss' }, { value: 'flat', text: 'Flat, the light is spread' }, { value: 'mirror', text: 'A cold mirror' } ] },
  { name: 'rings', question: 'Fine rings on the face, as from a lathe?', choices: [
    { value: true, text: 'Yes' }, { value: false, text: 'No' } ] },
  { name: 'cloth', question: 'Metal polish on a white cloth, at a hidden spot: the cloth is', choices: [
    { value: 'black', text: 'black' }, { value: 'clean', text: 'clean' } ] },
  { name: 'magnet', question: 'Does a magnet hold?', choices: [
    { value: true, text: 'Yes' }, { value: false, text: 'No' } ] },
  { name: 'filmEdge', question: 'Can you feel the edge of a film?', choices: [
    { value: true, text: 'Yes' }, { value: false, text: 'No' } ] },
  { name: 'colour', question: 'Is it black?', choices: [
    { value: 'black', text: 'Black' }, { value: 'other', text: 'Another colour' } ] },
] as const // prettier-ignore

export interface FinderResult {
  readonly finish: Finish
  readonly confidence: 'sure' | 'likely' | 'guess'
  readonly caution: string
}

const result = (finish: Finish, confidence: FinderResult['confidence'], caution: string): FinderResult => ({
  finish,
  confidence,
  caution,
})

/** A finish from what was seen and tried; what stays open is planned as bare metal. */
export function findFinish(answers: FinderAnswers): FinderResult {
  const { look, sheen, rings, cloth, magnet, filmEdge, colour } = answers
  if (filmEdge) return result('filmWrapped', 'sure', 'No solvent, no jet at the edges.')
  if (look === 'weave') {
    return cloth === 'black'
      ? result('unknown', 'guess', 'Carbon does not blacken the cloth: look again.')
      : result('carbonFibre', 'sure', 'Strong chemistry clouds the resin; no solvents.')
  }
  if (look === 'plastic') return result('plasticTrim', 'sure', 'No solvent, nothing strong, clips break.')
  if (rings) {
    return cloth === 'black'
      ? result('brushedBare', 'likely', 'Bare metal with turning marks: nothing strong, test spot first.')
      : result(
          'diamondCut',
          cloth === 'clean' ? 'sure' : 'likely',
          'Thin lacquer over a cut face: mild, non-acid cleaners only.',
        )
  }
  if (cloth === 'black') {
    return sheen === 'flat'
      ? result('brushedBare', 'sure', 'Bare metal: nothing strong, test spot first.')
      : result(
          'polishedBare',
          'sure',
          'Bare metal: nothing strong; a light haze polishes out, etching does not.',
        )
  }
  if (look === 'bright') {
    if (sheen === 'mirror')
      return result(
        'chrome',
        cloth === 'clean' ? 'likely' : 'guess',
        'Plating pits under acid and strong alkali.',
      )
    if (cloth === 'clean')
      return result('anodised', 'guess', 'Could be anodised: etched anodising cannot be polished out.')
    return result(
      'unknown',
      'guess',
      'Do the cloth test at a hidden spot; until then it counts as bare metal.',
    )
  }
  if (look === 'paintLike') {
    if (sheen === 'flat')
      return result('matte', cloth === 'clean' ? 'sure' : 'likely', 'No polish, no wax, no rubbing.')
    if (magnet) return result('paintedSteel', 'likely', 'Chips rust: look at the edges.')
    if (colour === 'black')
      return result(
        'glossBlack',
        cloth === 'clean' ? 'sure' : 'likely',
        'Shows every scratch: soft media, plenty of water.',
      )
    if (sheen === 'gloss')
      return result(
        'paintedGloss',
        cloth === 'clean' ? 'sure' : 'likely',
        'Sound lacquer stands the usual; look for chips first.',
      )
  }
  return result('unknown', 'guess', 'Not enough to tell: planned as bare metal until you know.')
}
