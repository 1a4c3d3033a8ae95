/** Finds the moment for what is due once a day and costs everybody something: a quiet one, but it is not put off for ever. */
export class QuietMoment {
  private mark: unknown = undefined
  private dueSince: number | null = null

  /** @param longestMilliseconds after which it is done however busy it is */
  constructor(private readonly longestMilliseconds: number) {}

  /**
   * Whether to do now what is due; asked again and again.
   * @param mark another one whenever somebody has written since
   * @param now ms
   */
  isNow(mark: unknown, now: number): boolean {
    const isQuiet = this.mark === mark
    this.mark = mark
    this.dueSince ??= now
    if (!isQuiet && now - this.dueSince < this.longestMilliseconds) return false
    this.dueSince = null
    return true
  }
}
