/** What a route asks about the visits of the past. */
export { countVisitsUpTo, listVisits } from '@/data/queries/visits'
