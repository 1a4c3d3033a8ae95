import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { Product } from './product'

type Stocked = Pick<Product, 'stockMillilitres' | 'packMillilitres'>

/** What is left of a pack, share, 0 to 1; more than one pack counts as one. */
export const stockShare = ({ stockMillilitres, packMillilitres }: Stocked): number =>
  Math.min(1, stockMillilitres / packMillilitres)

/** Whether so little is left that it is worth ordering. */
export const isRunningOut = (product: Stocked, overrides: EstimateOverrides): boolean =>
  stockShare(product) < estimate('reorderShare', overrides)
