import { type ItemShape, shapeById } from '@fleam/catalogue'
import type { LaidPiece } from '@fleam/contract/facts/board'
import { nextOrder } from '@fleam/core/facts'
import {
  afterCut,
  howFarOff,
  marginFor,
  type NextCut,
  nextCutOf,
  ownThicknessPerMm,
  type Piece,
  type PortionRequest,
  pieceFromTemplate,
  productsOfPiles,
  USUAL_TOGETHER,
} from '@fleam/core/portioning'
import { useEffect, useMemo, useRef, useState } from 'react'
import { readSetting } from '../../../data/settings.ts'
import { useMeasuredCuts } from '../../../outbox/measured-cuts.ts'
import type { StandingReading } from '../../../outbox/merge.ts'
import { workAside } from '../../../workers/core-client.ts'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'

export type LaidDraft = Pick<LaidPiece, 'weight' | 'length' | 'way'> &
  Partial<Pick<LaidPiece, 'profile' | 'products' | 'biasAngle'>>

export interface NextCutState {
  shape: ItemShape
  onBoard: LaidPiece | null
  /** The next cut; null while it is worked out, or where nothing is left to cut. */
  next: NextCut | null
  isWorking: boolean
  /** Lays a piece on the board. */
  lay: (piece: LaidDraft) => void
  /** Degrees off square at which the knife is led; 0 is square. */
  slant: number
  /** Millimetres, square to its faces, that the last cut is taken to have been; null before the first. */
  lastThickness: number | null
  /** The last cut came out so much thicker, or thinner below zero, mm, square to its faces. */
  correctLast: (by: number) => void
  /** The scrap that was to be cut off first is off. */
  scrapIsOff: () => void
  clear: () => void
}

/** What the version before kept on this device alone: until the record has a piece of its own. */
function keptHere(key: string): LaidPiece | null {
  try {
    const read = JSON.parse(readSetting(key) ?? 'null') as LaidPiece | null
    const isWhole = read && [read.weight, read.length].every(Number.isFinite) && Array.isArray(read.cuts)
    return isWhole ? read : null
  } catch {
    return null
  }
}

/**
 * The loop between planner and scale at the bench: each portion that is weighed was the next cut, the curve
 * of what is left is corrected by it, and the next cut is answered again. Null where the item is not cut
 * along its length.
 */
export function useNextCut({ record, standing, board, layOut }: LiveFabrication): NextCutState | null {
  const shape = useMemo(() => shapeById(record.shape), [record.shape])
  const [before] = useState(() => keptHere(`next-cut.${record.id}`))
  const laid = board.states['next-cut']
  const onBoard = useMemo(
    () => laidIn(laid === undefined ? before : (laid.state as LaidPiece | null), standing),
    [laid, before, standing],
  )
  const products = useMemo(
    () => onBoard?.products ?? (shape ? productsOfPiles(record.piles, shape.products) : []),
    [record.piles, shape, onBoard?.products],
  )
  const { of } = useMeasuredCuts()
  const change = (next: LaidPiece | null) => layOut('next-cut', next)
  const rest = useMemo(() => restOf(shape, onBoard, standing), [shape, onBoard, standing])
  const lastPortion = onBoard?.cuts.findLast(({ readingId }) => readingId !== null)?.readingId
  const lastPileId = standing.find(({ id }) => id === lastPortion)?.pileId
  const lastProduct = record.piles.find(({ id }) => id === lastPileId)?.name
  const request =
    rest && shape && onBoard
      ? cutRequest(rest, shape, products, howFarOff(onBoard.way, of(onBoard.way, shape.id)).share, lastProduct)
      : null
  const { next, isWorking } = usePlannedCut(request)
  const portionPiles = new Set(
    record.piles.filter(({ name }) => products.some((product) => product.name === name)).map(({ id }) => id),
  )
  // A portion that was weighed since was the cut that was asked for. Of pieces weighed together none is it.
  const fresh = standing.find(
    (reading) =>
      onBoard !== null &&
      portionPiles.has(reading.pileId) &&
      reading.order > onBoard.after &&
      (reading.pieces ?? 1) === 1 &&
      !onBoard.cuts.some((cut) => cut.readingId === reading.id),
  )
  useToldCut(fresh, next, onBoard, shape, layOut)
  if (!shape || products.length === 0) return null
  const last = onBoard?.cuts.at(-1)
  const ownPerMm = ownThicknessPerMm(onBoard?.biasAngle)
  return {
    shape,
    onBoard,
    next,
    isWorking,
    lay: (piece) => change({ ...piece, after: nextOrder(standing) - 1, cuts: [] }),
    slant: onBoard?.biasAngle ?? 0,
    lastThickness: last ? last.thickness * ownPerMm : null,
    correctLast: (by) => {
      if (!onBoard || !last || last.thickness + by / ownPerMm < 1) return
      const corrected = { ...last, thickness: last.thickness + by / ownPerMm }
      change({ ...onBoard, cuts: [...onBoard.cuts.slice(0, -1), corrected] })
    },
    scrapIsOff: () => {
      if (!onBoard || !next) return
      const cut = { readingId: null, thickness: next.thickness, planned: next.weight }
      change({ ...onBoard, cuts: [...onBoard.cuts, cut] })
    },
    clear: () => change(null),
  }
}

/** What the planner is asked: as in Knife lines, no slice out of the middle, and bounds drawn in by what portions may be off. */
function cutRequest(
  piece: Piece,
  shape: ItemShape,
  products: PortionRequest['products'],
  off: number,
  before: string | undefined,
): PortionRequest | null {
  if (products.length === 0) return null
  return {
    piece,
    products: [...products],
    scrap: { ...shape.scrap, where: 'ends' },
    margin: marginFor(products, off),
    isNearest: true,
    together: { ...USUAL_TOGETHER, before },
    kerf: shape.kerf ?? 0,
    step: 1,
  }
}

/** Says that a portion which was weighed was the cut that was asked for: for the record, and for how far off plans are. */
function useToldCut(
  fresh: StandingReading | undefined,
  next: NextCut | null,
  onBoard: LaidPiece | null,
  shape: ItemShape | null,
  layOut: LiveFabrication['layOut'],
): void {
  const { create } = useMeasuredCuts()
  const reported = useRef<string | null>(null)
  useEffect(() => {
    // The device that weighed it says it; the others are told. Said once, whatever is drawn meanwhile.
    if (!fresh?.isMine || !next || !onBoard || !shape || reported.current === fresh.id) return
    reported.current = fresh.id
    const { id: readingId, fabricationId, grams } = fresh
    create({ fabricationId, readingId, way: onBoard.way, shape: shape.id, planned: next.weight, weighed: grams })
    const cut = { readingId, thickness: next.thickness, planned: next.weight }
    layOut('next-cut', { ...onBoard, cuts: [...onBoard.cuts, cut] })
  }, [fresh, next, onBoard, shape, create, layOut])
}

/** The next cut of what is left, worked out aside; what is asked anew drops what was asked before. */
function usePlannedCut(request: PortionRequest | null): { next: NextCut | null; isWorking: boolean } {
  const [answer, setAnswer] = useState<{ of: string; next: NextCut | null } | null>(null)
  const asked = JSON.stringify(request)
  useEffect(() => {
    const wanted = JSON.parse(asked) as PortionRequest | null
    if (!wanted) return
    const leaving = new AbortController()
    void workAside('portion-plan', wanted, { signal: leaving.signal }).then(
      (plan) => leaving.signal.aborted || setAnswer({ of: asked, next: nextCutOf(plan, wanted.piece) }),
      () => {},
    )
    return () => leaving.abort()
  }, [asked])
  const isAnswered = answer?.of === asked
  return { next: isAnswered ? answer.next : null, isWorking: request !== null && !isAnswered }
}

/** The piece with the cuts that happened: one whose weighing was taken back did not. */
function laidIn(piece: LaidPiece | null, standing: readonly StandingReading[]): LaidPiece | null {
  if (!piece) return null
  const stands = new Set(standing.map((reading) => reading.id))
  return { ...piece, cuts: piece.cuts.filter(({ readingId }) => readingId === null || stands.has(readingId)) }
}

/** What is left of the piece on the board: a cut whose weighing was taken back did not happen. */
function restOf(
  shape: ItemShape | null,
  onBoard: LaidPiece | null,
  standing: readonly StandingReading[],
): Piece | null {
  if (!shape || !onBoard) return null
  const grams = new Map(standing.map((reading) => [reading.id, reading.grams]))
  return onBoard.cuts.reduce<Piece | null>(
    (piece, { readingId, thickness, planned }) => {
      const weight = readingId === null ? planned : grams.get(readingId)
      // A saw goes through after a portion; scrap falls off without one.
      const kerf = readingId === null ? 0 : (shape.kerf ?? 0)
      return piece && weight !== undefined ? afterCut(piece, { thickness, weight }, kerf) : piece
    },
    onBoard.profile
      ? {
          ...{ weight: onBoard.weight, length: onBoard.length, profile: onBoard.profile },
          biasAngle: onBoard.biasAngle,
        }
      : pieceFromTemplate(shape.template, onBoard.weight, onBoard.length),
  )
}
