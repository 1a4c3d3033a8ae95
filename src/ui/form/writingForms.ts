/** Every form that writes data, by the name its drafts are kept under. */
export const writingForms = [
  'backupFolder',
  'bottle',
  'finish',
  'import',
  'intake',
  'layer',
  'odometer',
  'plannedFor',
  'product',
  'reminder',
  'renewal',
  'settings',
  'stock',
  'tool',
  'water',
  'wheelChange',
  'wheel-set',
] as const
export type WritingFormName = (typeof writingForms)[number]

/** Names the draft of a form. @param of what it edits; absent: there is one such form */
export const draftName = (form: WritingFormName, of?: string): string =>
  of === undefined ? form : `${form}.${of}`
