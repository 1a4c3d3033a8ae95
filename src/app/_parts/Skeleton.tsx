import { getTranslations } from 'next-intl/server'

/** Stands where something is still being worked out. @param lines that it will about have */
export async function Skeleton({ lines }: { readonly lines: number }) {
  const t = await getTranslations()

  return (
    <div className="skeleton" role="status">
      <span className="visually-hidden">{t('common.workingOut')}</span>
      {Array.from({ length: lines }, (_, line) => (
        <i key={line} aria-hidden />
      ))}
    </div>
  )
}
