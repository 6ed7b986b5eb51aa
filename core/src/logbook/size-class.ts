/** Grams of one unit from which a class is so wide, widest first. */
const WIDTHS = [
  { from: 20_000, width: 5_000 },
  { from: 5_000, width: 1_000 },
  { from: 1_000, width: 250 },
  { from: 0, width: 50 },
] as const

/** How heavy one unit is, in classes that a buyer orders by. Grams. */
export interface SizeClass {
  from: number
  to: number
}

/** The class of a unit's weight, above zero: from its lower end up to, but not, its upper one. */
export function sizeClassOf(unitWeight: number): SizeClass {
  const { width } = WIDTHS.find(({ from }) => unitWeight >= from) ?? WIDTHS[WIDTHS.length - 1] ?? { width: 50 }
  const from = Math.floor(unitWeight / width) * width
  return { from, to: from + width }
}
