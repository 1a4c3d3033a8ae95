// Lists are read within their lengths throughout the search: these say so once, and at no cost.

/** A number of a list that has one there. */
export const intAt = (list: Int32Array, index: number): number => list[index] as number

export const byteAt = (list: Uint8Array, index: number): number => list[index] as number

export const floatAt = (list: Float64Array, index: number): number => list[index] as number

/** An item of a list that has one there. */
export const itemAt = <T>(list: readonly T[], index: number): T => list[index] as T

/** Whole numbers in rows of one width, all in one flat list: a row a state. */
export class Rows {
  private readonly cells: Int32Array

  constructor(
    rows: number,
    private readonly width: number,
    fill = 0,
  ) {
    this.cells = new Int32Array(rows * width).fill(fill)
  }

  at(row: number, column: number): number {
    return this.cells[row * this.width + column] as number
  }

  put(row: number, column: number, value: number): void {
    this.cells[row * this.width + column] = value
  }

  add(row: number, column: number, value: number): void {
    this.put(row, column, this.at(row, column) + value)
  }

  /** Writes a row of another table of the same width into one of this. */
  copy(from: Rows, fromRow: number, row: number): void {
    for (let column = 0; column < this.width; column += 1) this.put(row, column, from.at(fromRow, column))
  }

  clear(row: number): void {
    this.cells.fill(0, row * this.width, (row + 1) * this.width)
  }

  isSame(row: number, other: number, columns = this.width): boolean {
    for (let column = 0; column < columns; column += 1)
      if (this.at(row, column) !== this.at(other, column)) return false
    return true
  }
}

/** Distances between every two of some instants, a square a state. A line is where a row of a square begins. */
export class Squares {
  private readonly cells: Int32Array

  constructor(
    squares: number,
    private readonly side: number,
  ) {
    this.cells = new Int32Array(squares * side * side)
  }

  at(square: number, from: number, to: number): number {
    return this.cells[(square * this.side + from) * this.side + to] as number
  }

  put(square: number, from: number, to: number, value: number): void {
    this.cells[(square * this.side + from) * this.side + to] = value
  }

  /** For going along a row: where it begins. */
  line(square: number, from: number): number {
    return (square * this.side + from) * this.side
  }

  along(line: number, to: number): number {
    return this.cells[line + to] as number
  }

  putAlong(line: number, to: number, value: number): void {
    this.cells[line + to] = value
  }
}
