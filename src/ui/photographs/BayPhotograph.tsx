import { PictureInput } from './PictureInput'
import { takenWords, usePhotograph, type PhotographOf, type Taken } from './usePhotograph'

/** As short as the row of the bay has room for. */
const shortWords: Record<NonNullable<Taken>, string> = {
  taking: 'Keeping …',
  stored: 'Photo kept',
  later: 'Photo waits',
  revoked: 'Photo waits',
  refused: 'Not taken',
  unreadable: 'No picture',
}

/** Takes a photograph in the bay: the camera opens at once, one word tells what became of it. */
export function BayPhotograph(of: PhotographOf) {
  const { taken, takeAll } = usePhotograph(of)
  return (
    <span>
      <PictureInput className="link-button" isCamera take={takeAll}>
        {taken ? shortWords[taken] : 'Photo'}
        <span className="visually-hidden">
          {of.positions.length === 0 ? ': photograph the set' : ': photograph this wheel'}
        </span>
      </PictureInput>
      <span aria-live="polite" className="visually-hidden">
        {taken && takenWords[taken]}
      </span>
    </span>
  )
}
