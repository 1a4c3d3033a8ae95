/**
 * Merges lists into one that has every name once and keeps the order of each list. A name that only some lists have follows the name
 * before it in its own list.
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
