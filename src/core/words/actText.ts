/** What a person reads at one act. */
export interface ActText {
  readonly title: string
  readonly detail: string
  readonly why: string
}
