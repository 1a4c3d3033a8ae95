/** PostgreSQL's code of an error, or the system's; empty where it has none. */
export const errorCode = (error: unknown): string => (error as { code?: string } | null)?.code ?? ''
