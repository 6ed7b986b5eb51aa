/** A list in groups, each in the order of the list, by what is told of each. */
export function groupBy<T>(list: readonly T[], keyOf: (entry: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const item of list) {
    const group = groups.get(keyOf(item))
    if (group) group.push(item)
    else groups.set(keyOf(item), [item])
  }
  return groups
}
