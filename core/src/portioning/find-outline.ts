import type { OutlineMarks } from './outline-marks.ts'

/** A picture as a canvas gives it: rows from the top, four bytes a pixel (red, green, blue, opacity). */
export interface Pixels {
  width: number
  height: number
  data: Uint8ClampedArray
}

const LEVELS = 256
/** A piece smaller than this share of the picture, or shorter than this share of its width, is none. */
const MIN_AREA = 0.02
const MIN_LENGTH = 0.15
/** Edges at the very ends run together: they are read this share of the length further in. */
const INWARDS = 0.015

/**
 * A first try at the ends and edges of a piece in a photograph from above: what stands out most from the ground at the
 * picture's border, the largest of it in one patch. `places` are the pairs of edges between the ends. Null where
 * nothing stands out. It is to be corrected by hand: a shadow, or a ruler that touches the piece, belongs to neither.
 */
export function findOutline(pixels: Pixels, places: number): Pick<OutlineMarks, 'ends' | 'edges'> | null {
  const patch = largestPatch(standsOut(pixels), pixels.width, pixels.height)
  if (!patch) return null
  const { width, height } = pixels
  const columns = extents(patch, width, height)
  const left = columns.findIndex((column) => column !== null)
  const right = columns.findLastIndex((column) => column !== null)
  if (right - left < MIN_LENGTH * width) return null
  const columnAt = (share: number) => {
    const inside = Math.min(1 - INWARDS, Math.max(INWARDS, share))
    return columns[Math.round(left + inside * (right - left))] as Extent
  }
  const endAt = (x: number) => {
    const { top, bottom } = columns[x] as Extent
    return { x: (x + 0.5) / width, y: (top + bottom + 1) / 2 / height }
  }
  return {
    ends: [endAt(left), endAt(right)],
    edges: Array.from({ length: places }, (_, index) => {
      const { top, bottom } = columnAt(index / (places - 1))
      return { top: top / height, bottom: (bottom + 1) / height }
    }),
  }
}

interface Extent {
  top: number
  bottom: number
}

/** One for every pixel that is unlike the ground, parted where the two kinds lie furthest apart. */
function standsOut({ width, height, data }: Pixels): Uint8Array {
  const ground = groundColour({ width, height, data })
  const unlike = new Uint8Array(width * height)
  for (let at = 0; at < unlike.length; at++) {
    const off = [0, 1, 2].reduce(
      (sum, channel) => sum + Math.abs((data[at * 4 + channel] ?? 0) - (ground[channel] ?? 0)),
      0,
    )
    unlike[at] = off / 3
  }
  const threshold = partingLevel(unlike)
  return unlike.map((level) => (level > threshold ? 1 : 0))
}

/** The middle colour of the border: what most of it shows. */
function groundColour({ width, height, data }: Pixels): number[] {
  const border: number[] = []
  for (let x = 0; x < width; x++) border.push(x, (height - 1) * width + x)
  for (let y = 0; y < height; y++) border.push(y * width, y * width + width - 1)
  return [0, 1, 2].map((channel) => {
    const levels = border.map((at) => data[at * 4 + channel] ?? 0).sort((a, b) => a - b)
    return levels[Math.floor(levels.length / 2)] ?? 0
  })
}

/** The level that parts values into two groups whose means lie furthest apart, weighed by how many are in each. */
function partingLevel(values: Uint8Array): number {
  const counts = new Array<number>(LEVELS).fill(0)
  for (const level of values) counts[level] = (counts[level] ?? 0) + 1
  const all = values.length
  const sum = counts.reduce((total, count, level) => total + count * level, 0)
  let [below, sumBelow, best, parting] = [0, 0, -1, 0]
  for (let level = 0; level < LEVELS - 1; level++) {
    below += counts[level] ?? 0
    sumBelow += (counts[level] ?? 0) * level
    const above = all - below
    if (below === 0 || above === 0) continue
    const apart = below * above * (sumBelow / below - (sum - sumBelow) / above) ** 2
    if (apart > best) [best, parting] = [apart, level]
  }
  return parting
}

/** The largest patch of marked pixels that touch by their sides; null where it is too small to be a piece. */
function largestPatch(marked: Uint8Array, width: number, height: number): Uint8Array | null {
  const patchOf = new Int32Array(marked.length)
  let [best, bestArea, count] = [0, 0, 0]
  for (let start = 0; start < marked.length; start++) {
    if (!marked[start] || patchOf[start]) continue
    count++
    let area = 0
    const open = [start]
    patchOf[start] = count
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      area++
      const x = at % width
      for (const [next, isInside] of [
        [at - 1, x > 0],
        [at + 1, x < width - 1],
        [at - width, at >= width],
        [at + width, at < width * (height - 1)],
      ] as const) {
        if (!isInside || !marked[next] || patchOf[next]) continue
        patchOf[next] = count
        open.push(next)
      }
    }
    if (area > bestArea) [best, bestArea] = [count, area]
  }
  if (bestArea < MIN_AREA * marked.length) return null
  return marked.map((_, index) => (patchOf[index] === best ? 1 : 0))
}

/** The uppermost and lowest pixel of a patch in each column; null where it has none. */
function extents(patch: Uint8Array, width: number, height: number): (Extent | null)[] {
  return Array.from({ length: width }, (_, x) => {
    const rows = Array.from({ length: height }, (_row, y) => y).filter((y) => patch[y * width + x])
    const [top, bottom] = [rows[0], rows.at(-1)]
    return top === undefined || bottom === undefined ? null : { top, bottom }
  })
}
