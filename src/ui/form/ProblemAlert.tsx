import Alert from 'react-bootstrap/Alert'
import type { Problem } from '@/core/result'

/** Problems that belong to no single field, or to one that is not on the screen. */
export function ProblemAlert({ problems }: { readonly problems: readonly Problem[] }) {
  if (problems.length === 0) return null
  return (
    <Alert variant="danger" className="mt-3">
      {problems.map(({ path, mend }) => (
        <p key={`${path} ${mend}`}>{mend}</p>
      ))}
    </Alert>
  )
}
