/** Pages of jobs and looks that were opened, to be worked on without any network. */
export const jobPages = 'even-spoke-jobs'
/** Scripts, styles and fonts; their names change with what is in them. */
export const keptFiles = 'even-spoke-files'

export const isKeptFile = ({ pathname }: URL): boolean => pathname.startsWith('/_next/static/')
export const isBayPage = ({ pathname }: URL): boolean =>
  /^\/(jobs\/[0-9a-f-]{36}\/run|wheels\/[0-9a-f-]{36}\/look)$/.test(pathname)
