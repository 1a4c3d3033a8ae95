/** What a route asks about how the shop works, and its region. */
export { keepGuessedRegion } from './keepGuessedRegion'
export { saveSettings } from './saveSettings'
export { storedLanguage } from './storedLanguage'
export { readSettings, readStoredSettings } from '@/data/queries/settings'
