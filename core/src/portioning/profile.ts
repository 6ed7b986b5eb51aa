import type { Piece, Station } from './piece-shape.ts'

/** Area of a station, mm². */
export function areaOf(station: Station): number {
  if ('area' in station) return station.area
  if ('girth' in station) return station.girth ** 2 / (4 * Math.PI)
  return (Math.PI * station.width * station.height) / 4
}

/** Diameter of a circle of an area, mm: how wide a face looks on the plate. */
export const faceOf = (area: number): number => 2 * Math.sqrt(area / Math.PI)

/** Girth of a circle of an area, mm. */
export const girthOf = (area: number): number => Math.sqrt(4 * Math.PI * area)

export interface Shape {
  length: number
  weight: number
  /** Area as measured at `at`, mm². */
  areaAt: (at: number) => number
  /** Face of a cut at `at`, mm, with the bias of the blade. */
  faceAt: (at: number) => number
  /** What lies under its curve between two places, mm³ as measured. */
  volumeBetween: (from: number, to: number) => number
  /** Grams between two places. */
  weightBetween: (from: number, to: number) => number
  /**
   * Thickness of what lies between two places, mm, square to its faces. Along the piece, where the cook leads the knife,
   * it is `to − from`, whatever the slant.
   */
  thicknessBetween: (from: number, to: number) => number
}

const RADIANS = Math.PI / 180

/** Own thickness of each millimetre along a piece, where the blade is held `biasAngle` degrees off square. */
export const ownThicknessPerMm = (biasAngle = 0): number => Math.cos(biasAngle * RADIANS)

/**
 * The shape of a piece: area is linear between stations, and weight follows area, so that no density is
 * needed. A slanted blade leaves the weight, makes faces larger, and slices thinner than they are along the piece.
 */
export function shapeOf({ weight, length, profile, biasAngle = 0 }: Piece): Shape {
  const places = profile.map((station) => station.at)
  const areas = profile.map(areaOf)
  const sums = [0]
  for (let at = 1; at < places.length; at++) {
    const width = (places[at] as number) - (places[at - 1] as number)
    const mean = ((areas[at] as number) + (areas[at - 1] as number)) / 2
    sums.push((sums[at - 1] as number) + mean * width)
  }
  const total = sums.at(-1) as number
  const tilt = ownThicknessPerMm(biasAngle)
  const stretchAt = (at: number) => {
    let stretch = places.findIndex((place) => place > at) - 1
    if (stretch < 0) stretch = places.length - 2
    return stretch
  }
  const areaAt = (at: number) => {
    const stretch = stretchAt(at)
    const [from, to] = [places[stretch] as number, places[stretch + 1] as number]
    const [low, high] = [areas[stretch] as number, areas[stretch + 1] as number]
    return low + ((high - low) * (at - from)) / (to - from)
  }
  const volumeTo = (at: number) => {
    const stretch = stretchAt(at)
    const from = places[stretch] as number
    return (sums[stretch] as number) + (((areas[stretch] as number) + areaAt(at)) / 2) * (at - from)
  }
  return {
    length,
    weight,
    areaAt,
    faceAt: (at) => faceOf(areaAt(at) / tilt),
    volumeBetween: (from, to) => volumeTo(to) - volumeTo(from),
    weightBetween: (from, to) => (weight * (volumeTo(to) - volumeTo(from))) / total,
    thicknessBetween: (from, to) => (to - from) * tilt,
  }
}

/** What lies under the curve of stations, mm³: area is linear between them. */
export function volumeOf(profile: readonly Station[]): number {
  let volume = 0
  for (let at = 1; at < profile.length; at++) {
    const [one, other] = [profile[at - 1] as Station, profile[at] as Station]
    volume += ((areaOf(one) + areaOf(other)) / 2) * (other.at - one.at)
  }
  return volume
}

const CUBIC_MM_PER_CUBIC_CM = 1000

/** Grams that a piece would weigh by its measures alone; `density` in g/cm³. Only to see whether a weight can be. */
export const weightByMeasures = ({ profile }: Pick<Piece, 'profile'>, density: number): number =>
  (volumeOf(profile) / CUBIC_MM_PER_CUBIC_CM) * density
