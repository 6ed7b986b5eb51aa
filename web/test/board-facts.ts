import { type BoardPart, type Fact, standingBoard } from '@fleam/core/facts'
import { useMemo, useSyncExternalStore } from 'react'

/** What was said of the board: kept beside the page, as the outbox and the server keep it. */
let facts: Fact[] = []
const listeners = new Set<() => void>()
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
type Unmade<T> = T extends Fact ? Omit<T, 'id' | 'order' | 'takenAt' | 'fabricationId'> : never

function keep(fact: Unmade<Fact>): void {
  const made = {
    id: `b${facts.length}`,
    order: facts.length + 1,
    takenAt: '2026-11-24T08:00:00.000Z',
    fabricationId: 'f',
  }
  facts = [...facts, { ...made, ...fact } as Fact]
  for (const listener of listeners) listener()
}

export const forgetBoard = () => {
  facts = []
}

/** What a live fabrication says of its board, for a part that is tested alone. */
export function useBoardFacts() {
  const now = useSyncExternalStore(subscribe, () => facts)
  return {
    board: useMemo(() => standingBoard(now), [now]),
    layOut: (part: BoardPart, state: unknown) =>
      keep({ kind: 'board', part, state: JSON.parse(JSON.stringify(state)) }),
    numberPlate: (readingId: string, number: number) => keep({ kind: 'plate', readingId, number }),
  }
}
