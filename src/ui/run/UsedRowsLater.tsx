import dynamic from 'next/dynamic'

/** Without a network the rows may be missing: the visit is saved as planned all the same. */
const load = () =>
  import('./UsedRows').then(
    ({ UsedRows }) => UsedRows,
    () => () => null,
  )

/** What was used, read after the bay itself: nobody needs it before the work is done. */
export const UsedRowsLater = dynamic(load, { ssr: false })

/** Has it on the device before the network may be gone. */
export const preloadUsedRows = (): void => void load()
