import { message } from '@/core/message/message'
import { fail, failWith, showFound, succeed, type Problem, type Result } from '@/core/result'

export const tyreKinds = ['passenger', 'lightTruck', 'commercial', 'trailer', 'motorcycle'] as const
export type TyreKind = (typeof tyreKinds)[number]

/** A tyre size as moulded on the sidewall, with what follows from it. Millimetres unless the name says inches. */
export interface Tyre {
  readonly kind: TyreKind
  readonly construction: 'radial' | 'diagonal' | 'biasBelted'
  readonly widthMillimetres: number
  readonly rimDiameterInches: number
  readonly sidewallMillimetres: number
  readonly outerDiameterMillimetres: number
  /** Load and speed marks such as 96Y or 112/110R; absent where the code has none. */
  readonly serviceDescription?: string
}

export const millimetresPerInch = 25.4

const examples = message('measures.tyre.examples')

const metric =
  /^(P|LT|ST)?\s*(\d{2,3})\s*\/\s*(\d{2,3})\s*-?\s*(ZR|R|D|B|-)?\s*(\d{1,2}(?:\.5)?)\s*(LT|C|CP)?\s*(?:M\s*\/?\s*C)?\s*(?:(\(?\d{2,3}(?:\s*\/\s*\d{2,3})?\s*[A-Z]\d?\)?))?\s*(XL|RF|EXTRA LOAD)?$/
const flotation =
  /^(LT|ST)?\s*(\d{2}(?:\.\d{1,2})?)\s*[X×]\s*(\d{1,2}(?:\.\d{1,2})?)\s*-?\s*(ZR|R|D|B|-)?\s*(\d{1,2}(?:\.5)?)\s*(LT|C)?\s*(?:(\(?\d{2,3}(?:\s*\/\s*\d{2,3})?\s*[A-Z]\d?\)?))?$/

const constructionOf = (mark: string | undefined): Tyre['construction'] =>
  mark === 'D' || mark === '-' ? 'diagonal' : mark === 'B' ? 'biasBelted' : 'radial'

function kindOf(prefix: string | undefined, suffix: string | undefined, motorcycle: boolean): TyreKind {
  if (motorcycle) return 'motorcycle'
  if (prefix === 'ST') return 'trailer'
  if (prefix === 'LT' || suffix === 'LT') return 'lightTruck'
  if (suffix === 'C' || suffix === 'CP') return 'commercial'
  return 'passenger'
}

const between = (
  path: 'width' | 'aspect' | 'rim' | 'outerDiameter',
  value: number,
  low: number,
  high: number,
  unit: 'mm' | '%' | 'in',
): Problem[] =>
  value >= low && value <= high
    ? []
    : [
        {
          path,
          found: `${value} ${unit}`,
          fix: message('measures.tyre.range', { part: path, low, high, unit }),
        },
      ]

/**
 * Reads a tyre code: `W/A R D` with P, LT, ST, C, ZR, load and speed marks, or a flotation size such as 31x10.50 R15.
 * Sidewall height is W·A/100; outer diameter 25.4·D plus twice that (sizes as the tyre standards define them).
 *
 * @returns the tyre, or one problem for each part that cannot be
 */
export function readTyreCode(code: string): Result<Tyre> {
  const text = code.normalize('NFKC').toUpperCase().replace(',', '.').replaceAll(/\s+/g, ' ').trim()
  if (text === '') return fail({ path: '', found: '""', fix: message('measures.tyre.empty', { examples }) })
  if (text.length > 60)
    return fail({ path: '', found: showFound(code), fix: message('measures.tyre.tooLong', { examples }) })
  const plain = metric.exec(text)
  if (plain) {
    const [, prefix, width = '', aspect = '', construction, rim = '', suffix, service] = plain
    const widthMillimetres = Number(width)
    const aspectPercent = Number(aspect)
    const rimDiameterInches = Number(rim)
    const motorcycle = /M\s*\/?\s*C/.test(text)
    const problems = [
      ...between('width', widthMillimetres, 60, 455, 'mm'),
      ...between('aspect', aspectPercent, 20, 100, '%'),
      ...between('rim', rimDiameterInches, 8, 30, 'in'),
    ]
    if (problems.length > 0) return failWith(problems)
    const sidewallMillimetres = (widthMillimetres * aspectPercent) / 100
    return succeed({
      kind: kindOf(prefix, suffix, motorcycle),
      construction: constructionOf(construction),
      widthMillimetres,
      rimDiameterInches,
      sidewallMillimetres,
      outerDiameterMillimetres: rimDiameterInches * millimetresPerInch + 2 * sidewallMillimetres,
      ...(service ? { serviceDescription: service.replace(/[()\s]/g, '') } : {}),
    })
  }
  const floating = flotation.exec(text)
  if (floating) {
    const [, prefix, outer = '', width = '', construction, rim = '', suffix, service] = floating
    const outerInches = Number(outer)
    const widthInches = Number(width)
    const rimDiameterInches = Number(rim)
    const problems = [
      ...between('outerDiameter', outerInches, 15, 60, 'in'),
      ...between('width', widthInches, 3, 18, 'in'),
      ...between('rim', rimDiameterInches, 8, 30, 'in'),
    ]
    if (problems.length === 0 && outerInches < rimDiameterInches + 2) {
      problems.push({
        path: 'rim',
        found: message('measures.tyre.rimInTyre', { rim: rimDiameterInches, outer: outerInches }),
        fix: message('measures.tyre.tooFlat'),
      })
    }
    if (problems.length > 0) return failWith(problems)
    const outerDiameterMillimetres = outerInches * millimetresPerInch
    return succeed({
      kind: kindOf(prefix, suffix ?? (prefix ? undefined : 'LT'), false),
      construction: constructionOf(construction),
      widthMillimetres: widthInches * millimetresPerInch,
      rimDiameterInches,
      sidewallMillimetres: (outerDiameterMillimetres - rimDiameterInches * millimetresPerInch) / 2,
      outerDiameterMillimetres,
      ...(service ? { serviceDescription: service.replace(/[()\s]/g, '') } : {}),
    })
  }
  const noAspect = /^(\d{3})\s*Z?R\s*(\d{2})(?!\d)/.exec(text)
  if (noAspect) {
    return fail({
      path: 'aspect',
      found: showFound(code),
      fix: message('measures.tyre.noAspect', { usual: `${noAspect[1]}/80 R${noAspect[2]}` }),
    })
  }
  return fail({ path: '', found: showFound(code), fix: message('measures.tyre.unknown', { examples }) })
}
