import type { Product } from '@/core/chemistry/product'
import type { Problem } from '@/core/result'
import { maxProducts, maxTools } from '@/contracts/cabinet'

/** What stands in the way of a cabinet that would hold more than a plan can weigh; said here, at the door, and not at every plan. */
export function roomProblem(products: readonly Pick<Product, 'archived'>[], tools: number): Problem | null {
  const inUse = products.filter(({ archived }) => !archived).length
  if (inUse > maxProducts)
    return {
      path: 'products',
      found: `${inUse} products in use`,
      mend: `A plan weighs at most ${maxProducts} products. Archive those that are not used; archived ones do not count.`,
    }
  if (tools > maxTools)
    return {
      path: 'tools',
      found: `${tools} tools`,
      mend: `A plan weighs at most ${maxTools} tools. Remove those that are not used.`,
    }
  return null
}
