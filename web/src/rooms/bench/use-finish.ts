import { editOf } from '@fleam/contract'
import { labourClocks, labourFromMarks, outsideRange } from '@fleam/core'
import { useState } from 'react'
import { useNavigate } from 'react-router-dom'
import { useChangeFabrication } from '../../data/queries.ts'
import type { NamedCause } from './loss-causes.tsx'
import type { LiveFabrication } from './use-live-fabrication.ts'

/** Finishing: asks once for causes where a pile came out otherwise than expected, then closes and shows the verdict. */
export function useFinish(live: LiveFabrication) {
  const { record, document, marks } = live
  const navigate = useNavigate()
  const change = useChangeFabrication(record.id)
  const [isAsking, setAsking] = useState(false)
  const outcomes = outsideRange(record.piles, document.piles, record.purchase.invoiceWeight)
  const close = (causes: NamedCause[]) => {
    // What the clocks measured becomes the record's own labour, where it may be corrected.
    const measured = labourFromMarks(marks, Date.now(), live.cookName)
    const labour = measured ? { labour: measured } : {}
    change.mutate(editOf(record, { status: 'closed', causes, ...labour }), {
      onSuccess: () => {
        // Opened again some day, the record must not count the time between.
        for (const { cookId, isRunning } of labourClocks(marks, Date.now())) {
          if (isRunning) void live.mark({ mark: 'labour-pause', cookId })
        }
        navigate(`/verdict/${record.id}`)
      },
    })
  }
  return {
    outcomes,
    isAsking,
    change,
    stopAsking: () => setAsking(false),
    close,
    finish: () => {
      if (record.status !== 'open' || live.standing.length === 0) return
      if (outcomes.length > 0) setAsking(true)
      else close([])
    },
  }
}
