export function chromiumPath(): string | null
export const chromiumArguments: string[]
