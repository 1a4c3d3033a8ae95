export function chromiumPath(): string | null
