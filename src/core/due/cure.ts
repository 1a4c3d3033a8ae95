import { cureMilliseconds } from '@/core/protection/setHistory'
import type { ProtectionKind } from '@/core/protection/kinds'

/**
 * When a layer has cured.
 * @param told by a person, from the label; null: by its kind
 */
export const cureEnds = (
  { kind, appliedAt }: { readonly kind: ProtectionKind; readonly appliedAt: Date },
  told: Date | null,
): Date => told ?? new Date(appliedAt.getTime() + cureMilliseconds(kind))
