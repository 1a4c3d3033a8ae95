import type { LookGrade, WornLayer, WornLook } from './record'
import type { Wear } from './wear'

/** A look, and what was hidden at it. */
export interface SeenLook {
  readonly look: WornLook
  /** What had worked at the layer by then. */
  readonly wear: Wear
  readonly clog: number
}

/** One thing that was graded at a look, with all that its likelihood depends on. */
export interface Sight {
  readonly wear: Wear
  /** None after a reviving wash. */
  readonly clog: number
  readonly grade: LookGrade
  /** How much wider it scatters than beading. */
  readonly wider: number
  /** How much of it is news. */
  readonly news: number
}

/** What was seen of one product on a set. */
export interface ProductSights {
  readonly productId: string
  readonly sights: readonly Sight[]
}

/** What of a look is told, how much wider it scatters than beading, and how much of it is news. House estimates. */
const senses = [
  { of: 'beading', wider: 1, news: 1 },
  { of: 'release', wider: 1.3, news: 0.5 },
  { of: 'slickness', wider: 1.5, news: 0.5 },
] as const

const sightsOf = ({ look, wear, clog }: SeenLook): Sight[] =>
  senses.flatMap(({ of, wider, news }) => {
    const grade = look[of]
    return grade === undefined ? [] : [{ wear, clog: look.afterReviving ? 0 : clog, grade, wider, news }]
  })

/** Everything that was seen on a set, product by product: learning goes over it again and again. */
export function productSights(
  layers: readonly { readonly layer: WornLayer; readonly looks: readonly SeenLook[] }[],
): ProductSights[] {
  const products = new Map<string, Sight[]>()
  for (const { layer, looks } of layers) {
    if (looks.length === 0) continue
    const sights = products.get(layer.productId) ?? []
    for (const seen of looks) sights.push(...sightsOf(seen))
    products.set(layer.productId, sights)
  }
  return [...products].map(([productId, sights]) => ({ productId, sights }))
}
