/** A list in groups, each in the order of the list, by what is told of each. */
export function groupBy<T>(list: readonly T[], keyOf: (each: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const each of list) {
    const group = groups.get(keyOf(each))
    if (group) group.push(each)
    else groups.set(keyOf(each), [each])
  }
  return groups
}
