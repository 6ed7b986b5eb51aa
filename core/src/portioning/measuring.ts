import type { MeasuringWay } from '../facts/index.ts'
import type { Piece, Station } from './piece-shape.ts'
import { weightByMeasures } from './profile.ts'

/** The usual shape of an item: stations as shares of its length, girths relative to each other. */
export interface ShapeTemplate {
  /** Share of the length, 0 to 1, and girth relative to the others. */
  stations: readonly { at: number; girth: number }[]
  /** Height ÷ width of a cross section lying on the board. */
  roundness: number
  /** g/cm³. */
  density: number
}

/** A piece known by weight and length alone: the template's curve, drawn out to its length and filled to its weight. */
export function pieceFromTemplate({ stations, density }: ShapeTemplate, weight: number, length: number): Piece {
  const bare: Piece = {
    weight,
    length,
    profile: stations.map(({ at, girth }) => ({ at: at * length, girth })),
  }
  // Areas grow with the square of the girths, and weight with the areas.
  const scale = Math.sqrt(weight / weightByMeasures(bare, density))
  return { ...bare, profile: stations.map(({ at, girth }) => ({ at: at * length, girth: girth * scale })) }
}

/** A piece measured around by tape at some places. */
export const pieceFromGirths = (
  weight: number,
  length: number,
  girths: readonly { at: number; girth: number }[],
): Piece => ({
  weight,
  length,
  profile: [...girths].sort((a, b) => a.at - b.at),
})

export interface OutlinePoint {
  /** Millimetres from the beginning of the piece, and its width there. */
  at: number
  width: number
}

/** A piece seen from above: its width is traced, and its height follows from how round the template is. */
export const pieceFromOutline = (
  weight: number,
  length: number,
  points: readonly OutlinePoint[],
  { roundness }: Pick<ShapeTemplate, 'roundness'>,
): Piece => ({
  weight,
  length,
  profile: [...points]
    .sort((a, b) => a.at - b.at)
    .map(({ at, width }): Station => ({ at, width, height: width * roundness })),
})

/** Assumed until a kitchen's own portions tell: how far a portion may be from what was planned, as a share. */
const ASSUMED_OFF: Readonly<Record<MeasuringWay, number>> = { template: 0.12, outline: 0.09, girths: 0.05 }
/** The assumed share counts as so many portions. */
export const ASSUMED_PORTIONS = 6

/** How far off a way of measuring is taken to be before any portion was weighed, as a share. */
export const assumedOff = (way: MeasuringWay): number => ASSUMED_OFF[way]

export interface MeasuredPortion {
  planned: number
  weighed: number
}

export interface HowFarOff {
  /** Two portions of three are no further from their plan than this, as a share of it. */
  share: number
  portions: number
  /** The kitchen's own portions outweigh what is assumed. */
  isOwn: boolean
}

/** How far portions are from their plan when a piece is known in one way: assumed, and learned from those weighed. */
export function howFarOff(way: MeasuringWay, portions: readonly MeasuredPortion[]): HowFarOff {
  const squares = portions.reduce((sum, { planned, weighed }) => sum + (weighed / planned - 1) ** 2, 0)
  const all = portions.length + ASSUMED_PORTIONS
  return {
    share: Math.sqrt((squares + ASSUMED_PORTIONS * ASSUMED_OFF[way] ** 2) / all),
    portions: portions.length,
    isOwn: portions.length > ASSUMED_PORTIONS,
  }
}

/** Weight of the piece against its measures: about one where both are right, ten where a nought slipped. */
export const weightAgainstMeasures = (piece: Piece, density: number): number =>
  piece.weight / weightByMeasures(piece, density)
