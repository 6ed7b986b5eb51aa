/** Line art of one view: outlines that are always drawn, regions that piles light up, cuts that steps light up. SVG paths. */
export interface DrawingView {
  id: string
  label: string
  width: number
  height: number
  outline: readonly string[]
  regions: Readonly<Record<string, string>>
  cuts: Readonly<Record<string, string>>
}

export interface Drawing {
  views: readonly DrawingView[]
}

/** Draws a path on both sides of a vertical axis at `axis`; only absolute commands M, L, C and Z. */
export function mirrored(path: string, axis: number): string {
  let isX = true
  const other = path.replace(/-?\d+(?:\.\d+)?/g, (number) => {
    const shown = isX ? String(2 * axis - Number(number)) : number
    isX = !isX
    return shown
  })
  return `${path} ${other}`
}
