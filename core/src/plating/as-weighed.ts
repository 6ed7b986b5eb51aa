import { ANY_KIND, platingOf, slotsOf } from './plate.ts'
import { gapOf } from './plate-pieces.ts'
import type { PlatePiece, PlateRequest, Plating, PlatingRequest } from './plate-request.ts'

/** Numbers of plates by the id of the piece, from zero. */
type PlateNumbers = ReadonlyMap<string, number>

/** A plate while it fills. */
interface FillingPlate {
  pieces: PlatePiece[]
  weight: number
}

/**
 * Gives each piece its plate as it is weighed, one after the other, and never moves it again: a piece
 * completes the plate that it brings nearest to the target, if one stays within its bounds; else it joins one
 * that its like would bring within them; else it begins a plate. `numbers` are those that pieces have
 * already. A piece that no plate takes has none.
 */
export function platesAsWeighed(
  { pieces, plate }: PlatingRequest,
  numbers: PlateNumbers = new Map(),
): Map<string, number> {
  const given = new Map<string, number>()
  const filling = new Map<number, FillingPlate>()
  const put = (piece: PlatePiece, number: number) => {
    const { pieces: before, weight } = filling.get(number) ?? { pieces: [], weight: 0 }
    filling.set(number, { pieces: [...before, piece], weight: weight + piece.weight })
    given.set(piece.id, number)
  }
  for (const piece of pieces) {
    const number = numbers.get(piece.id)
    if (number !== undefined) put(piece, number)
  }
  for (const piece of pieces) {
    if (given.has(piece.id)) continue
    const number = plateFor({ pieces, plate }, filling, piece)
    if (number !== null) put(piece, number)
  }
  return given
}

function plateFor({ pieces, plate }: PlatingRequest, filling: ReadonlyMap<number, FillingPlate>, piece: PlatePiece) {
  const options = [...filling].flatMap(([number, { pieces: on, weight }]) => {
    const open = openSlots(plate, [...on, piece])
    if (open === null) return []
    const total = weight + piece.weight + open.reduce((sum, kind) => sum + usualWeight(pieces, kind), 0)
    const isWithin = total >= plate.low - 1e-9 && total <= plate.high + 1e-9
    return isWithin ? [{ number, open: open.length, off: Math.abs(total - plate.target) }] : []
  })
  const [best] = options.sort((one, other) => one.open - other.open || one.off - other.off)
  if (best) return best.number
  return openSlots(plate, [piece]) === null ? null : firstFree(filling)
}

function firstFree(filling: ReadonlyMap<number, FillingPlate>): number {
  let number = 0
  while (filling.has(number)) number++
  return number
}

/** Kinds that a plate still takes with these pieces on it; null where one of them has no place. */
function openSlots(plate: PlateRequest, on: readonly PlatePiece[]): string[] | null {
  const open = slotsOf(plate)
  for (const { kind } of on) {
    const place = open.indexOf(kind)
    const slot = place >= 0 ? place : open.indexOf(ANY_KIND)
    if (slot < 0) return null
    open.splice(slot, 1)
  }
  return open
}

/** What a piece of a kind usually weighs: the mean of those that are there, of all kinds where none is. */
function usualWeight(pieces: readonly PlatePiece[], kind: string): number {
  const alike = pieces.filter((piece) => piece.kind === kind)
  const candidates = alike.length > 0 ? alike : pieces
  return candidates.reduce((sum, { weight }) => sum + weight, 0) / candidates.length
}

/** The plates that are whole by these numbers; pieces of plates that wait for more are left. */
export function platingByNumbers(request: PlatingRequest, numbers: PlateNumbers): Plating {
  const sets = new Map<number, number[]>()
  request.pieces.forEach(({ id }, index) => {
    const number = numbers.get(id)
    if (number !== undefined) sets.set(number, [...(sets.get(number) ?? []), index])
  })
  const whole = [...sets]
    .sort(([one], [other]) => one - other)
    .flatMap(([, set]) => (isWhole(request, set) ? [set] : []))
  return platingOf(request, whole, gapOf(request, whole))
}

function isWhole({ pieces, plate }: PlatingRequest, set: readonly number[]): boolean {
  const on = set.map((at) => pieces[at] as PlatePiece)
  const weight = on.reduce((sum, piece) => sum + piece.weight, 0)
  return openSlots(plate, on)?.length === 0 && weight >= plate.low - 1e-9 && weight <= plate.high + 1e-9
}

/** The numbers that a plating gives to its pieces. */
export const numbersOf = ({ plates }: Pick<Plating, 'plates'>): Map<string, number> =>
  new Map(plates.flatMap(({ ids }, number) => ids.map((id) => [id, number] as const)))
