import { tasks } from './tasks'

/** What a thread of the pool can be asked for, by name. */
export const { planText, planFile, zipBackup, readBackup } = tasks
