import { bold } from '@/i18n/rich'
import { useTranslations } from 'next-intl'
import type { SaidProblem } from '@/i18n/saidProblems'

/** What an import would do, before anything is written. */
export interface ImportPreview {
  readonly added: readonly string[]
  readonly replaced: readonly string[]
  readonly tools: readonly string[]
  /** Goes along when it is taken over. */
  readonly seen: string
}

const mostProblems = 40

/** Everything that is wrong with a file, place by place. */
export function ImportProblems({ problems }: { readonly problems: readonly SaidProblem[] }) {
  const t = useTranslations()

  if (problems.length === 0) return null
  return (
    <div className="alert alert-danger mt-3">
      <p>
        {t('cabinet.import.nothingImported', {
          fix: String(problems.some(({ path }) => path !== 'unreachable')),
        })}
      </p>
      <ul>
        {problems.slice(0, mostProblems).map(({ path, found, fix }) => (
          <li key={`${path} ${fix}`}>
            {path && path !== 'unreachable' && <b>{path}: </b>}
            {fix}{' '}
            {path !== 'unreachable' && <span className="soft">{t('cabinet.import.found', { found })}</span>}
          </li>
        ))}
      </ul>
      {problems.length > mostProblems && (
        <p>{t('cabinet.import.moreProblems', { count: problems.length - mostProblems })}</p>
      )}
    </div>
  )
}

/** What would be added and replaced. */
export function ImportChanges({ preview }: { readonly preview: ImportPreview }) {
  const t = useTranslations()

  return (
    <div className="mt-3">
      <p>
        {t.rich('cabinet.import.counts', {
          added: preview.added.length,
          replaced: preview.replaced.length,
          tools: preview.tools.length,
          b: bold,
        })}
      </p>
      {preview.added.length > 0 && (
        <p className="soft">{t('cabinet.import.newNames', { names: preview.added.join(', ') })}</p>
      )}
      {preview.replaced.length > 0 && (
        <p className="soft">{t('cabinet.import.replacedNames', { names: preview.replaced.join(', ') })}</p>
      )}
    </div>
  )
}
