export function keepInMemory(): void
