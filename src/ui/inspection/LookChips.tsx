interface LookChipsProps<Choice> {
  readonly label: string
  readonly choices: readonly { readonly name: string; readonly choice: Choice }[]
  readonly isChosen: (choice: Choice) => boolean
  readonly choose: (choice: Choice) => void
}

/** A few choices of which one tap takes one. */
export function LookChips<Choice>({ label, choices, isChosen, choose }: LookChipsProps<Choice>) {
  return (
    <div className="chips" role="group" aria-label={label}>
      {choices.map(({ name, choice }) => (
        <button
          key={name}
          type="button"
          className="chip"
          aria-pressed={isChosen(choice)}
          onClick={() => choose(choice)}
        >
          {name}
        </button>
      ))}
    </div>
  )
}
