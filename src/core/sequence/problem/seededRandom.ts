/** Numbers without a pattern, the same every time (xorshift, 32 bits): the core knows no chance. */
export class Draws {
  private state: number

  constructor(seed: number) {
    this.state = Math.imul(seed, 0x9e3779b1) >>> 0 || 1
  }

  /** A whole number from 0, less than `below`. */
  draw(below: number): number {
    this.state ^= this.state << 13
    this.state ^= this.state >>> 17
    this.state ^= this.state << 5
    this.state >>>= 0
    return this.state % below
  }

  /** More than 0, at most 1. */
  share(): number {
    return (this.draw(1_000_000) + 1) / 1_000_000
  }
}
