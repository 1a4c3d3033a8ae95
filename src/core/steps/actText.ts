import type { Said } from '@/core/message/message'

/** What a person reads at one act. */
export interface ActText {
  readonly title: Said
  readonly detail: Said
  readonly why: Said
}
