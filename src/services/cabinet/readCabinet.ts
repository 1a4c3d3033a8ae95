import type { Product } from '@/core/chemistry/product'
import { estimate } from '@/core/estimates/houseEstimates'
import { isRunningOut } from '@/core/chemistry/stockLeft'
import { cleanWheelCosts, type CleanWheelCost, type ComparedSoil } from '@/core/cost/cleanWheelCost'
import type { Settings } from '@/contracts/settings'
import type { Database } from '@/data/database'
import { listLowStock, listProducts, type LowStock } from '@/data/queries/cabinet'
import { readSettings } from '@/data/queries/settings'

/** Compared on clear dirt. */
const comparedGrade = 2

export interface CabinetRead {
  readonly active: readonly Product[]
  readonly archived: readonly Product[]
  readonly runningOut: readonly Product[]
  readonly costs: readonly CleanWheelCost[]
  readonly settings: Settings
}

/** The cabinet as it stands, and what a clean wheel costs with each product on one soil. */
export async function readCabinet(database: Database, soil: ComparedSoil): Promise<CabinetRead> {
  const [products, settings] = await Promise.all([listProducts(database), readSettings(database)])
  const { estimates, equipment } = settings
  const active = products.filter(({ archived }) => !archived)
  return {
    active,
    archived: products.filter(({ archived }) => archived),
    runningOut: active.filter((product) => isRunningOut(product, estimates)),
    costs: cleanWheelCosts(active, soil, comparedGrade, equipment.bucketLitres, estimates),
    settings,
  }
}

/** Products that are worth ordering, the emptiest first. */
export async function lowStock(database: Database): Promise<LowStock[]> {
  const { estimates } = await readSettings(database)
  return listLowStock(database, estimate('reorderShare', estimates))
}
