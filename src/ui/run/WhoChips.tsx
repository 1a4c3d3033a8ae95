/** Two at work: whose steps this device shows. */
export function WhoChips({ who, choose }: { who: number; choose: (person: number) => void }) {
  return (
    <div className="chips run-who" role="group" aria-label="Who are you?">
      {[0, 1].map((person) => (
        <button
          key={person}
          type="button"
          className="chip"
          aria-pressed={who === person}
          onClick={() => choose(person)}
        >
          Person {person + 1}
        </button>
      ))}
    </div>
  )
}
