import type { Product } from '@/core/chemistry/product'
import { judgeUse, type Judgement } from '@/core/rules/judge'
import type { Rule } from '@/core/rules/rule'

/** What the rules leave of a label's times. */
export interface JudgedDwell {
  /** Left to work before the brush. */
  readonly dwellSeconds: number
  /** Left to work in all, the brush included. */
  readonly actingSeconds: number
  /** On the wheel at most, to the rinse. */
  readonly labelMaxSeconds: number
  readonly judgement: Judgement
}

/** Under the brush chemistry goes on working, seconds. House estimate. */
const brushSeconds = 90

/**
 * The dwell a product may have, longest first, with what the rules say of it: `dwellSeconds` is how long it is left
 * to work before the brush, `labelMaxSeconds` how long it may be on until the rinse.
 * @param rules those that could speak of the product at the place, from `productRulesAt`
 */
export function judgedDwell(product: Product, fraction: number, rules: readonly Rule[]): JudgedDwell {
  const { min, max } = product.dwellSeconds
  const judged = (dwellSeconds: number) => judgeUse(rules, { fraction, dwellSeconds })
  const atMost = judged(max)
  const capped = atMost.rules.some((rule) => rule.dwellCap !== undefined) || atMost.verdict === 'no'
  if (!capped || min === max)
    return { dwellSeconds: max, actingSeconds: max, labelMaxSeconds: max, judgement: atMost }
  const shortest = Math.max(min, Math.min(max, 15))
  const judgement = judged(shortest)
  // What a delicate finish caps is the wait; only where the long stay itself is forbidden the label is shorter, too.
  const isLabelKept = atMost.verdict !== 'no' || judgement.verdict === 'no'
  const labelMaxSeconds = isLabelKept ? max : shortest
  // It goes on working under the brush; suds are renewed by every stroke of the mitt.
  const actingSeconds =
    product.delivery === 'bucket' ? max : Math.min(labelMaxSeconds, shortest + brushSeconds)
  return { dwellSeconds: shortest, actingSeconds, labelMaxSeconds, judgement }
}
