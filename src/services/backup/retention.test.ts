import { expect, it } from 'vitest'
import { latestFirst, nextBackupName, supersededBackups } from './retention'

const name = (day: string, time = '02-00-00') => `even-spoke-${day}T${time}.zip`
const days = (from: string, count: number) =>
  Array.from({ length: count }, (_, at) =>
    new Date(Date.parse(from) - at * 86_400_000).toISOString().slice(0, 10),
  )

it('keeps the last of fourteen days and of twelve months, and no file of others goes', () => {
  const all = days('2026-11-26', 500).map((day) => name(day))
  const gone = new Set(supersededBackups([...all, 'notes.zip', 'even-spoke-old.zip']))
  const kept = all.filter((one) => !gone.has(one))
  expect(kept.slice(0, 14)).toEqual(all.slice(0, 14))
  expect(kept.slice(14).map((one) => one.slice(11, 18))).toEqual([
    '2026-10', '2026-09', '2026-08', '2026-07', '2026-06', '2026-05', '2026-04', '2026-03', '2026-02', '2026-01', '2025-12',
  ]) // prettier-ignore
  expect(gone.has('notes.zip') || gone.has('even-spoke-old.zip')).toBe(false)
})

it('keeps the latest of a day', () => {
  expect(supersededBackups([name('2026-11-26', '08-00-00'), name('2026-11-26', '20-00-00')])).toEqual([
    name('2026-11-26', '08-00-00'),
  ])
})

const counted = (counter: number, day: string) =>
  `even-spoke-${String(counter).padStart(6, '0')}-${day}T02-00-00.zip`

it('a backup made after a clock that was a year ahead is the latest, and is kept', () => {
  const future = Array.from({ length: 40 }, (_, at) => counted(at + 1, days('2027-12-31', 40)[39 - at] ?? ''))
  const today = nextBackupName(future, new Date('2026-11-29T10:00:00Z'))
  expect(today).toBe('even-spoke-000041-2026-11-29T10-00-00.zip')
  expect(latestFirst([...future, today])[0]?.name).toBe(today)
  expect(supersededBackups([...future, today])).not.toContain(today)
})

it('backups of earlier versions, without a counter, come before those with one', () => {
  const names = [name('2027-05-01'), counted(1, '2026-11-29'), name('2026-05-01')]
  expect(latestFirst(names).map(({ day }) => day)).toEqual(['2026-11-29', '2027-05-01', '2026-05-01'])
})
