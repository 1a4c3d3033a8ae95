/** How many of some numbers in rising order lie at or below one. */
export function countUpTo(numbers: ArrayLike<number>, one: number): number {
  let [low, high] = [0, numbers.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((numbers[middle] ?? 0) <= one) low = middle + 1
    else high = middle
  }
  return low
}
