import type { Shape } from '@fleam/core/portioning'

/** The outline is drawn by stations so far apart, mm. */
const FINE = 4

interface OutlinePlace {
  at: number
  face: number
}

/** The faces along a piece up to a place, from its beginning or from another, close enough to be drawn as one curve. */
export function outlinePlaces(faceAt: Shape['faceAt'], to: number, from = 0): OutlinePlace[] {
  const count = Math.max(2, Math.ceil((to - from) / FINE))
  return Array.from({ length: count + 1 }, (_, step) => {
    const at = from + ((to - from) * step) / count
    return { at, face: faceAt(at) }
  })
}

/** Both sides of a piece seen from above, as the path of a drawing; `point` puts a place, and how far aside, on it. */
export function outlinePath(outline: readonly OutlinePlace[], point: (at: number, side: number) => string): string {
  const top = outline.map(({ at, face }) => point(at, -face / 2))
  const bottom = [...outline].reverse().map(({ at, face }) => point(at, face / 2))
  return `M${[...top, ...bottom].join('L')}Z`
}
