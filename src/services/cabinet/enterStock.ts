import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { StockInput } from '@/contracts/stock'
import type { Database } from '@/data/database'
import { findProduct } from '@/data/queries/cabinet'
import { countStock, moveStock } from '@/data/queries/stock'

/** Takes down what a person bought, counted or has to put right; sent twice it is taken down once. */
export async function enterStock(
  database: Database,
  productId: string,
  { requestId: id, kind, millilitres, note }: StockInput,
  now: Date,
): Promise<Result<null>> {
  return database.transaction(async (transaction) => {
    const product = await findProduct(transaction, productId)
    if (!product)
      return fail({ path: 'productId', found: productId, fix: message('problems.product.deleted') })
    if (kind === 'counted') await countStock(transaction, productId, millilitres, now, { id, note })
    else if (kind === 'corrected' && product.stockMillilitres + millilitres < 0)
      return fail({
        path: 'millilitres',
        found: String(millilitres),
        fix: message('problems.stock.notThere', { volume: { millilitres: product.stockMillilitres } }),
      })
    else await moveStock(transaction, productId, kind, millilitres, now, { id, note })
    return succeed(null)
  })
}
