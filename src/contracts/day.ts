/**
 * The beginning of a day where the program runs.
 * @param day ISO date, such as 2026-12-24: the same day in every time zone
 */
export function startOfDay(day: string): Date {
  const [year = 1970, month = 1, date = 1] = day.split('-').map(Number)
  return new Date(year, month - 1, date)
}
