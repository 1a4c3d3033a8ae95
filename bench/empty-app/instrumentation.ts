/** Nothing to do: without this file the bundler would take the application's own. */
export function register(): void {}
