import type { GoodCopy } from './goodCopies'

const when = (iso: string): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeStyle: 'short' }).format(new Date(iso))

const contents = [
  ['vehicle', 'vehicle', 'vehicles'],
  ['wheel_set', 'wheel set', 'wheel sets'],
  ['visit', 'visit', 'visits'],
  ['product', 'product', 'products'],
] as const

/** What is in a copy and from when, in a few words. */
export const describeCopy = ({ madeAt, rows }: GoodCopy): string =>
  `from ${when(madeAt)} (${contents.map(([table, one, many]) => `${rows[table] ?? 0} ${rows[table] === 1 ? one : many}`).join(', ')})`

/** More lines than these tell nothing more. */
const maxProblems = 6

/**
 * What a person reads whose data cannot be opened or is not whole.
 * @param opens whether the engine opens it all the same
 */
export function damageText(
  folder: string,
  problems: readonly string[],
  copies: readonly GoodCopy[],
  opens: boolean,
): string {
  const [newest] = copies
  const rest = problems.length - maxProblems
  return [
    `The data in ${folder} is damaged. Nothing was changed.`,
    ...problems.slice(0, maxProblems).map((problem) => `  ${problem}`),
    ...(rest > 0 ? [`  and ${rest} more`] : []),
    newest
      ? `The last good copy is ${describeCopy(newest)}. \`npm start -- --last-good\` puts it in place; the damaged data is set aside, not deleted.`
      : 'There is no good copy of it yet. If you have a backup of the folder, put that in its place.',
    ...(opens ? ['`npm start -- --as-it-is` goes on with what is left.'] : []),
  ].join('\n')
}
