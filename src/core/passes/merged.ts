/**
 * Several lists in one that keeps the order of each, every name once. What only some of them have comes after the name before it
 * there.
 */
export function merged(lists: readonly (readonly string[])[]): string[] {
  const longestFirst = [...lists].sort((a, b) => b.length - a.length)
  return longestFirst.reduce<string[]>((all, list) => {
    let after = -1
    const result = [...all]
    for (const name of list) {
      const at = result.indexOf(name)
      if (at >= 0) after = Math.max(after, at)
      else {
        after += 1
        result.splice(after, 0, name)
      }
    }
    return result
  }, [])
}
