import { message } from '@/core/message/message'
import { randomUUID } from 'node:crypto'
import { fail, succeed, type Result } from '@/core/result'
import type { BottleInput } from '@/contracts/bottle'
import type { Database } from '@/data/database'
import { addBottle, findBottle } from '@/data/queries/bottles'
import { findProduct } from '@/data/queries/cabinet'
import { moveStock } from '@/data/queries/stock'

/** Writes a mixed bottle down and takes its concentrate off the stock, both or neither. */
export function mixBottle(database: Database, input: BottleInput, now: Date): Promise<Result<string>> {
  return database.transaction(async (transaction) => {
    const sentBefore = input.requestId ? await findBottle(transaction, input.requestId) : null
    if (sentBefore) {
      const isSame =
        sentBefore.fraction === input.fraction && sentBefore.totalMillilitres === input.totalMillilitres
      return isSame
        ? succeed(sentBefore.id)
        : fail({
            path: 'requestId',
            found: sentBefore.productName,
            fix: message('problems.bottle.otherSent'),
          })
    }
    const product = await findProduct(transaction, input.productId)
    if (!product)
      return fail({
        path: 'productId',
        found: input.productId,
        fix: message('problems.product.deleted'),
      })
    if (product.containsFluoride) {
      return fail({
        path: 'productId',
        found: product.name,
        fix: message('problems.bottle.fluoride'),
      })
    }
    const id = await addBottle(transaction, input.requestId ?? randomUUID(), {
      productId: product.id,
      productName: product.name,
      family: product.family,
      fraction: input.fraction,
      totalMillilitres: input.totalMillilitres,
      mixedAt: now,
      mixedBy: input.mixedBy,
    })
    await moveStock(transaction, product.id, 'mixed', -input.fraction * input.totalMillilitres, now, {
      bottleId: id,
    })
    return succeed(id)
  })
}
