const plain = (name: string): string => name.trim().replaceAll(/\s+/g, ' ').toLowerCase()

/** Whether people would take two names for the same one: capitals and spaces make no difference. */
export const isSameName = (a: string, b: string): boolean => plain(a) === plain(b)
