import { editOf } from '@fleam/contract/fabrication/edit'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { nextOrder } from '@fleam/core/facts'
import type { KnifeLines, Piece } from '@fleam/core/portioning'
import { useMutation } from '@tanstack/react-query'
import { memo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { call } from '../../data/api.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useFabrications, useItems } from '../../data/queries.ts'
import { newFact, outbox } from '../../outbox/page-outbox.ts'
import { newPile } from '../../parts/new-pile.ts'
import { Failed } from '../../parts/states.tsx'

interface SendToBenchProps {
  draft: KnifeLines
  /** What is left of the piece to be cut. */
  rest: Piece
}

/** The plan goes to a bench where such a piece lies: with its products, whatever piles were planned there. */
export const SendToBench = memo(function SendToBench({ draft, rest }: SendToBenchProps) {
  const benches = useBenchesFor(draft.shape)
  const [chosen, setChosen] = useState<string | null>(null)
  const send = useSend(draft, rest)
  const bench = benches.find(({ id }) => id === chosen) ?? benches[0]
  if (!bench) return null
  return (
    <div className="send-to-bench no-print">
      {benches.length > 1 ? (
        <Form.Select aria-label="Which bench" value={bench.id} onChange={(event) => setChosen(event.target.value)}>
          {benches.map(({ id, words }) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Form.Select>
      ) : null}
      <Button variant="outline-dark" disabled={send.isPending} onClick={() => send.mutate(bench.id)}>
        Send to the bench{benches.length > 1 ? '' : `: ${bench.words}`}
      </Button>
      {send.isError ? <Failed error={send.error} /> : null}
    </div>
  )
})

/** Open fabrications of what has this shape. */
function useBenchesFor(shape: string): { id: string; words: string }[] {
  const items = useItems().data ?? []
  const rows = useFabrications().data ?? []
  return rows
    .filter(({ status, itemId }) => status === 'open' && items.find(({ id }) => id === itemId)?.shape === shape)
    .map(({ id, document }) => ({ id, words: `${document.item}, ${document.style.toLowerCase()}` }))
}

const { readFabrication, updateFabrication } = fabricationOperations

function useSend(draft: KnifeLines, rest: Piece) {
  const kitchen = useKitchen()
  const navigate = useNavigate()
  return useMutation({
    mutationFn: async (fabricationId: string) => {
      const of = { kitchenId: kitchen.id, fabricationId }
      const { record, facts } = await call(readFabrication, of)
      const missing = draft.products.filter(({ name }) => !record.piles.some((pile) => pile.name === name))
      if (missing.length > 0) {
        const added = missing.map(({ name, target, low, high }) => ({
          ...newPile(newId()),
          ...{ name, target, low, high, class: 'primary' as const, weighing: 'pieces' as const },
        }))
        await call(updateFabrication, { ...of, body: editOf(record, { piles: [...record.piles, ...added] }) })
      }
      const { weight, length, profile, biasAngle } = rest
      const state = {
        ...{ weight, length, profile, biasAngle, way: draft.way },
        after: nextOrder(facts) - 1,
        products: draft.products,
        cuts: [],
      }
      await outbox.keep(kitchen.id, newFact({ kind: 'board', fabricationId, part: 'next-cut', state }, facts))
      return fabricationId
    },
    onSuccess: (fabricationId) => navigate(`/bench/${fabricationId}`),
  })
}
