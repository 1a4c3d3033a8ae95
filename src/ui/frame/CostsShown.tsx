'use client'

import { createContext, useContext, type ReactNode } from 'react'

const Shown = createContext(true)

/** Says to everything below whether the person may see what things cost. */
export function CostsShown({
  isShown,
  children,
}: {
  readonly isShown: boolean
  readonly children: ReactNode
}) {
  return <Shown.Provider value={isShown}>{children}</Shown.Provider>
}

/** Shows what something costs to those who may see it. */
export function Cost({ children }: { readonly children: ReactNode }) {
  return useContext(Shown) ? children : null
}
