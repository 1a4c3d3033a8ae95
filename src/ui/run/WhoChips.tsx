import { useTranslations } from 'next-intl'
/** Two at work: whose steps this device shows. */
export function WhoChips({ who, choose }: { who: number; choose: (person: number) => void }) {
  const t = useTranslations()

  return (
    <div className="chips run-who" role="group" aria-label={t('bay.who.label')}>
      {[0, 1].map((person) => (
        <button
          key={person}
          type="button"
          className="chip"
          aria-pressed={who === person}
          onClick={() => choose(person)}
        >
          {t('bay.who.person', { number: person + 1 })}
        </button>
      ))}
    </div>
  )
}
