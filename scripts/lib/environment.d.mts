export interface Environment {
  readonly EVEN_SPOKE_DATA: string
  readonly EVEN_SPOKE_DATABASE_URL: string
}
export type ReadEnvironment =
  | { readonly ok: true; readonly value: Environment }
  | { readonly ok: false; readonly problems: readonly string[] }
export function readEnvironment(environment?: Readonly<Record<string, string | undefined>>): ReadEnvironment
export function environmentOrEnd(environment?: Readonly<Record<string, string | undefined>>): Environment
