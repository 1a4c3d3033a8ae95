import Alert from 'react-bootstrap/Alert'
import type { SaidProblem } from '@/i18n/saidProblems'

/** Problems that belong to no single field, or to one that is not on the screen. */
export function ProblemAlert({ problems }: { readonly problems: readonly SaidProblem[] }) {
  if (problems.length === 0) return null
  return (
    <Alert variant="danger" className="mt-3">
      {problems.map(({ path, fix }) => (
        <p key={`${path} ${fix}`}>{fix}</p>
      ))}
    </Alert>
  )
}
