import { type ItemShape, shapeById } from '@fleam/catalogue'
import {
  afterCut,
  type MeasuringWay,
  type NextCut,
  nextCutOf,
  nextOrder,
  type Piece,
  type PortionWish,
  pieceFromTemplate,
  productsOfPiles,
  type Station,
} from '@fleam/core'
import { useEffect, useMemo, useRef, useState } from 'react'
import { readSetting, writeSetting } from '../../data/settings.ts'
import { useMeasuredCuts } from '../../outbox/measured-cuts.ts'
import type { StandingReading } from '../../outbox/merge.ts'
import { workAside } from '../../workers/core-client.ts'
import type { LiveFabrication } from './use-live-fabrication.ts'

/** The piece on the board as it was laid there, and what was cut off it. */
interface OnBoard {
  weight: number
  length: number
  /** Its stations where it was measured; without them the usual shape is filled to its weight. */
  profile?: readonly Station[]
  way: MeasuringWay
  /** Weighings up to this place in the order of the work belong to earlier pieces. */
  after: number
  cuts: { readingId: string | null; thickness: number; planned: number }[]
}

export type LaidPiece = Pick<OnBoard, 'weight' | 'length' | 'profile' | 'way'>

export interface NextCutState {
  shape: ItemShape
  onBoard: OnBoard | null
  /** The next cut; null while it is worked out, or where nothing is left to cut. */
  next: NextCut | null
  isWorking: boolean
  /** Lays a piece on the board. */
  lay: (piece: LaidPiece) => void
  /** Millimetres that the last cut is taken to have been; null before the first. */
  lastThickness: number | null
  /** The last cut came out so much thicker, or thinner below zero, mm. */
  correctLast: (by: number) => void
  /** The scrap that was to be cut off first is off. */
  scrapIsOff: () => void
  clear: () => void
}

function kept(key: string): OnBoard | null {
  try {
    const read = JSON.parse(readSetting(key) ?? 'null') as OnBoard | null
    // One that was laid before weighings had an order is laid again.
    return read && read.after !== undefined ? { ...read, way: read.way ?? 'template' } : null
  } catch {
    return null
  }
}

/**
 * The loop between planner and scale at the bench: each portion that is weighed was the next cut, the curve
 * of what is left is corrected by it, and the next cut is answered again. Null where the item is not cut
 * along its length.
 */
export function useNextCut({ record, standing }: LiveFabrication): NextCutState | null {
  const shape = useMemo(() => shapeById(record.shape), [record.shape])
  const products = useMemo(() => (shape ? productsOfPiles(record.piles, shape.products) : []), [record.piles, shape])
  const key = `next-cut.${record.id}`
  const { keep } = useMeasuredCuts()
  const [onBoard, setOnBoard] = useState<OnBoard | null>(() => kept(key))
  const [answer, setAnswer] = useState<{ of: string; next: NextCut | null } | null>(null)
  const change = (next: OnBoard | null) => {
    setOnBoard(next)
    writeSetting(key, JSON.stringify(next))
  }
  const portionPiles = new Set(
    record.piles.filter(({ name }) => products.some((each) => each.name === name)).map(({ id }) => id),
  )
  const weighed = onBoard
    ? standing.filter(
        // Of pieces weighed together none is the cut that was asked for.
        (each) => portionPiles.has(each.pileId) && each.order > onBoard.after && (each.pieces ?? 1) === 1,
      )
    : []
  const rest = useMemo(() => restOf(shape, onBoard, standing), [shape, onBoard, standing])
  const wish =
    rest && shape && products.length > 0
      ? { piece: rest, products, scrap: shape.scrap, kerf: shape.kerf ?? 0, step: 1 }
      : null
  const asked = JSON.stringify(wish)
  useEffect(() => {
    const wanted = JSON.parse(asked) as PortionWish | null
    if (!wanted) return
    const leaving = new AbortController()
    void workAside('portion-plan', wanted, { signal: leaving.signal }).then(
      (plan) => leaving.signal.aborted || setAnswer({ of: asked, next: nextCutOf(plan, wanted.piece) }),
      () => {},
    )
    return () => leaving.abort()
  }, [asked])
  const next = answer?.of === asked ? answer.next : null
  // A portion that was weighed since was the cut that was asked for.
  const fresh = weighed.find((each) => !onBoard?.cuts.some((cut) => cut.readingId === each.id))
  useEffect(() => {
    if (!fresh || !next || !onBoard) return
    const cut = { readingId: fresh.id, thickness: next.thickness, planned: next.weight }
    if (shape) {
      const { id: readingId, fabricationId, grams } = fresh
      const { way } = onBoard
      keep({ fabricationId, readingId, way, shape: shape.id, planned: next.weight, weighed: grams })
    }
    const more = { ...onBoard, cuts: [...onBoard.cuts, cut] }
    setOnBoard(more)
    writeSetting(key, JSON.stringify(more))
  }, [fresh, next, onBoard, key, shape, keep])
  // A portion that was taken back tells nothing of the shape, and the measured cut falls with its weighing. One that is not there yet, after the page was
  // opened anew, was not taken back: only what stood and stands no more.
  const stood = useRef(new Set<string>())
  useEffect(() => {
    if (!onBoard) return
    const stands = new Set(standing.map((each) => each.id))
    const undone = onBoard.cuts.find(({ readingId: id }) => id && stood.current.has(id) && !stands.has(id))
    stood.current = stands
    if (!undone?.readingId) return
    const fewer = { ...onBoard, cuts: onBoard.cuts.filter((cut) => cut !== undone) }
    setOnBoard(fewer)
    writeSetting(key, JSON.stringify(fewer))
  }, [standing, onBoard, key])
  if (!shape || products.length === 0) return null
  return {
    shape,
    onBoard,
    next,
    isWorking: wish !== null && answer?.of !== asked,
    lay: (piece) => change({ ...piece, after: nextOrder(standing) - 1, cuts: [] }),
    lastThickness: onBoard?.cuts.at(-1)?.thickness ?? null,
    correctLast: (by) => {
      const last = onBoard?.cuts.at(-1)
      if (!onBoard || !last || last.thickness + by < 1) return
      change({ ...onBoard, cuts: [...onBoard.cuts.slice(0, -1), { ...last, thickness: last.thickness + by }] })
    },
    scrapIsOff: () => {
      if (!onBoard || !next) return
      const cut = { readingId: null, thickness: next.thickness, planned: next.weight }
      change({ ...onBoard, cuts: [...onBoard.cuts, cut] })
    },
    clear: () => change(null),
  }
}

/** What is left of the piece on the board: a cut whose weighing was taken back did not happen. */
function restOf(shape: ItemShape | null, onBoard: OnBoard | null, standing: readonly StandingReading[]): Piece | null {
  if (!shape || !onBoard) return null
  const grams = new Map(standing.map((each) => [each.id, each.grams]))
  return onBoard.cuts.reduce<Piece | null>(
    (piece, { readingId, thickness, planned }) => {
      const weight = readingId === null ? planned : grams.get(readingId)
      // A saw goes through after a portion; scrap falls off without one.
      const kerf = readingId === null ? 0 : (shape.kerf ?? 0)
      return piece && weight !== undefined ? afterCut(piece, { thickness, weight }, kerf) : piece
    },
    onBoard.profile
      ? { weight: onBoard.weight, length: onBoard.length, profile: onBoard.profile }
      : pieceFromTemplate(shape.template, onBoard.weight, onBoard.length),
  )
}
