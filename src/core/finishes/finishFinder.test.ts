import { describe, expect, it } from 'vitest'
import { bareFinishes, conditions, contradiction, finishes } from './finish'
import { finderCautions, findFinish, type FinderAnswers } from './finishFinder'

const cases: readonly (readonly [string, FinderAnswers, string, string])[] = [
  ['nothing answered', {}, 'unknown', 'guess'],
  ['gloss paint, clean cloth', { look: 'paintLike', sheen: 'gloss', cloth: 'clean' }, 'paintedGloss', 'sure'],
  ['the same without the cloth', { look: 'paintLike', sheen: 'gloss' }, 'paintedGloss', 'likely'],
  [
    'black gloss',
    { look: 'paintLike', sheen: 'gloss', colour: 'black', cloth: 'clean' },
    'glossBlack',
    'sure',
  ],
  ['flat paint', { look: 'paintLike', sheen: 'flat', cloth: 'clean' }, 'matte', 'sure'],
  ['paint a magnet holds to', { look: 'paintLike', sheen: 'gloss', magnet: true }, 'paintedSteel', 'likely'],
  ['rings, clean cloth', { look: 'bright', rings: true, cloth: 'clean' }, 'diamondCut', 'sure'],
  ['rings, black cloth', { look: 'bright', rings: true, cloth: 'black' }, 'brushedBare', 'likely'],
  ['bright, black cloth', { look: 'bright', sheen: 'mirror', cloth: 'black' }, 'polishedBare', 'sure'],
  ['flat metal, black cloth', { look: 'bright', sheen: 'flat', cloth: 'black' }, 'brushedBare', 'sure'],
  ['cold mirror, clean cloth', { look: 'bright', sheen: 'mirror', cloth: 'clean' }, 'chrome', 'likely'],
  ['bright and untested', { look: 'bright' }, 'unknown', 'guess'],
  ['a weave', { look: 'weave' }, 'carbonFibre', 'sure'],
  ['a plastic cover', { look: 'plastic' }, 'plasticTrim', 'sure'],
  ['an edge of film', { look: 'paintLike', filmEdge: true }, 'filmWrapped', 'sure'],
]

describe('the finish finder', () => {
  it.each(cases)('%s', (_, answers, finish, confidence) => {
    expect(findFinish(answers)).toMatchObject({ finish, confidence })
  })

  it('never takes a black cloth for lacquer', () => {
    for (const look of ['paintLike', 'bright'] as const) {
      for (const sheen of ['gloss', 'flat', 'mirror'] as const) {
        const { finish } = findFinish({ look, sheen, cloth: 'black' })
        expect([...bareFinishes, 'unknown']).toContain(finish)
      }
    }
  })

  it('always says what to mind', () => {
    for (const [, answers] of cases) expect(finderCautions).toContain(findFinish(answers).caution)
  })
})

describe('finish and condition that cannot be together', () => {
  it.each([
    ['polishedBare', 'peeling', true],
    ['plasticTrim', 'corroded', true],
    ['paintedGloss', 'peeling', false],
    ['chrome', 'peeling', false],
    ['magnesium', 'corroded', false],
  ] as const)('%s and %s', (finish, condition, wrong) => {
    expect(contradiction(finish, condition) !== null).toBe(wrong)
  })
  it('sound and unknown go with everything', () => {
    for (const finish of finishes)
      for (const condition of conditions.filter((one) => one === 'sound' || one === 'unknown'))
        expect(contradiction(finish, condition)).toBeNull()
  })
})
