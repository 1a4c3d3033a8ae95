/** Ways to go on from the states of a layer, side by side in flat lists that grow. */
export class Candidates {
  private ranks = new Float64Array(1024)
  /** State it goes on from. */
  parent = new Int32Array(1024)
  operation = new Int32Array(1024)
  worker = new Uint8Array(1024)
  /** No order through it ends before this second. */
  sure = new Int32Array(1024)
  private count = 0

  clear(): void {
    this.count = 0
  }

  /** @param rank how promising it looks, in half seconds when rounded; the least is taken first */
  add(rank: number, parent: number, operation: number, worker: number, sure: number): void {
    if (this.count === this.parent.length) this.grow()
    // One number for rank and place in the list sorts much faster than pairs, and equal ranks keep their order.
    this.ranks[this.count] = Math.round(rank * 2) * maxCandidates + this.count
    this.parent[this.count] = parent
    this.operation[this.count] = operation
    this.worker[this.count] = worker
    this.sure[this.count] = sure
    this.count += 1
  }

  /** Places in the lists, the most promising first. */
  inOrder(): Int32Array {
    const ranks = this.ranks.slice(0, this.count).sort()
    return Int32Array.from(ranks, (one) => one % maxCandidates)
  }

  private grow(): void {
    const more = this.count * 2
    const grown = <T extends Int32Array | Uint8Array | Float64Array>(list: T, into: T): T => {
      into.set(list)
      return into
    }
    this.ranks = grown(this.ranks, new Float64Array(more))
    this.parent = grown(this.parent, new Int32Array(more))
    this.operation = grown(this.operation, new Int32Array(more))
    this.worker = grown(this.worker, new Uint8Array(more))
    this.sure = grown(this.sure, new Int32Array(more))
  }
}

const maxCandidates = 4_194_304
