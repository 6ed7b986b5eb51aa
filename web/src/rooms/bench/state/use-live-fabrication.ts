import type { FabricationRecord, FabricationState } from '@fleam/contract/fabrication/schemas'
import { type CookName, documentOf, type FabricationDocument } from '@fleam/core/fabrication'
import {
  type BoardPart,
  type Mark,
  type Reading,
  type StandingBoard,
  standingBoard,
  standingMarks,
} from '@fleam/core/facts'
import { countsOf, expectedDocument } from '@fleam/core/weighing'
import { useMemo } from 'react'
import { useCooks } from '../../../data/queries.ts'
import { merge, type StandingReading } from '../../../outbox/merge.ts'
import { useOutbox } from '../../../outbox/page-outbox.ts'
import type { Act } from './acts.ts'
import { useKeptActs } from './use-kept-acts.ts'
import { useNow } from './use-now.ts'

/** Running clocks and what they cost are worked out anew this often. */
const CLOCK_TICK_MS = 10_000

export type { StandingReading }

type Taken = Pick<Reading, 'pileId' | 'grams' | 'source' | 'cookId'> & Partial<Pick<Reading, 'pieces'>>

export interface LiveFabrication {
  record: FabricationRecord
  /** The readings that count, in the order they were taken. */
  standing: StandingReading[]
  /**
   * The same with what is being written on this device at this moment: what steps and piles are led by, so that a
   * second touch knows of the first, and nothing that is shown.
   */
  ahead: StandingReading[]
  /** Something is being written on this device, and not yet to be shown as taken. */
  isWriting: boolean
  /** What the cooks said, in the order they said it. */
  marks: Mark[]
  /** What lies on the board, and the numbers of plates. */
  board: StandingBoard
  cookName: CookName
  /** The time that clocks are read at, milliseconds since 1970. */
  nowMs: number
  document: FabricationDocument
  /** As it would end if what is not weighed yet came out as the style expects. */
  expected: FabricationDocument
  /**
   * Keeps weighings, all of them or none. `words` say what was done, for who undoes it. Answers, as all that follow,
   * once it is written on this device, and false where the device cannot write.
   */
  take: (words: string, ...taken: readonly Taken[]) => Promise<boolean>
  withdraw: (words: string, readingId: string) => Promise<boolean>
  move: (words: string, readingId: string, pileId: string) => Promise<boolean>
  count: (words: string, readingId: string, pieces: number) => Promise<boolean>
  mark: (words: string, mark: Pick<Mark, 'mark'> & Partial<Mark>) => Promise<boolean>
  /** Says what lies on the board from now on; undoing leaves it, as it leaves the piece where it lies. */
  layOut: (part: BoardPart, state: unknown) => void
  /** Says which plate a piece is on, from 0. */
  numberPlate: (readingId: string, number: number) => void
  /** The last act of this person on this device that can be undone, and what was undone last. */
  lastAct: Act | null
  lastUndone: Act | null
  undo: () => Promise<boolean>
  redo: () => Promise<boolean>
}

/** One fabrication as this device sees it, with what the cook can do to it; `actorId` is who acts on this device. */
export function useLiveFabrication(state: FabricationState, actorId: string | null = null): LiveFabrication {
  const { writing, waiting, stored } = useOutbox()
  const { record } = state
  const nowMs = useNow(CLOCK_TICK_MS)
  const { data: cooks } = useCooks()
  const cookName = useMemo<CookName>(() => {
    const names = new Map((cooks ?? []).map((cook) => [cook.id, cook.name]))
    return (id) => names.get(id)
  }, [cooks])
  const written = useMemo(() => merge(state, waiting, stored), [state, waiting, stored])
  const ahead = useMemo(
    () => (writing.length === 0 ? written : merge(state, [...waiting, ...writing], stored)),
    [written, state, waiting, writing, stored],
  )
  const { facts, standing } = written
  const marks = useMemo(() => standingMarks(facts), [facts])
  // What lies on the board is set by hand, in fields that must not jump back until it is written.
  const board = useMemo(() => standingBoard(ahead.facts), [ahead])
  const documents = useMemo(() => {
    const document = documentOf(record, facts, { nowMs, cookName, standing })
    const soFar = { marks, counts: countsOf(record.piles, standing) }
    return { document, expected: expectedDocument(record, document, soFar) }
  }, [record, facts, standing, marks, nowMs, cookName])
  const fabricationId = record.id
  const { keep, act, ...undoing } = useKeptActs(fabricationId, actorId, ahead.facts)
  return {
    record,
    standing,
    ahead: ahead.standing,
    isWriting: writing.length > 0,
    marks,
    board,
    cookName,
    nowMs,
    ...documents,
    take: (words, ...taken) =>
      act(words, ...taken.map((taken) => ({ kind: 'reading' as const, fabricationId, pieces: null, ...taken }))),
    withdraw: (words, readingId) => act(words, { kind: 'void', fabricationId, factId: readingId }),
    move: (words, readingId, pileId) => act(words, { kind: 'move', fabricationId, readingId, pileId }),
    count: (words, readingId, pieces) => act(words, { kind: 'count', fabricationId, readingId, pieces }),
    mark: (words, said) =>
      act(words, {
        kind: 'mark',
        fabricationId,
        cookId: null,
        ratePerHour: null,
        step: null,
        load: null,
        units: null,
        ...said,
      }),
    layOut: (part, state) => void keep({ kind: 'board', fabricationId, part, state }),
    numberPlate: (readingId, number) => void keep({ kind: 'plate', fabricationId, readingId, number }),
    ...undoing,
  }
}
