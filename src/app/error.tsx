'use client'

import Button from 'react-bootstrap/Button'

/** Shown when a page could not be made; the details stay in the server's output. */
export default function PageError({ retry }: { error: unknown; retry?: () => void }) {
  return (
    <>
      <h1>This page could not be shown</h1>
      <p className="soft">
        Nothing was lost. If it happens again, look at the window the program runs in: it names the cause.
      </p>
      <p className="mt-3">
        <Button onClick={() => (retry ? retry() : location.reload())}>Try again</Button>
      </p>
    </>
  )
}
