import type { ReactNode } from 'react'

/** What a message marks as bold. */
export const bold = (words: ReactNode) => <b>{words}</b>
