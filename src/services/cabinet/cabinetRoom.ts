import { message } from '@/core/message/message'
import type { Product } from '@/core/chemistry/product'
import type { Problem } from '@/core/result'
import { maxProducts, maxTools } from '@/contracts/cabinet'

/** What stands in the way of a cabinet that would hold more than a plan can weigh; said here, at the door, and not at every plan. */
export function roomProblem(products: readonly Pick<Product, 'archived'>[], tools: number): Problem | null {
  const inUse = products.filter(({ archived }) => !archived).length
  if (inUse > maxProducts)
    return {
      path: 'products',
      found: message('problems.cabinet.inUse', { count: inUse }),
      fix: message('problems.cabinet.tooManyProducts', { most: maxProducts }),
    }
  if (tools > maxTools)
    return {
      path: 'tools',
      found: `${tools} tools`,
      fix: message('problems.cabinet.tooManyTools', { most: maxTools }),
    }
  return null
}
