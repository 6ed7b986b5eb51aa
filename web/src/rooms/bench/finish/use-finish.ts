import { editOf } from '@fleam/contract/fabrication/edit'
import { DEFAULT_LIMITS, labourAnswered, labourAtEnd, labourClocks, labourDoubt } from '@fleam/core/fabrication'
import { invoiceDoubt, nextPile, outsideRange } from '@fleam/core/weighing'
import { useState } from 'react'
import { useNavigate } from 'react-router-dom'
import { useUpdateFabrication } from '../../../data/queries.ts'
import { progressOf } from '../state/progress.ts'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'
import type { EndAnswers } from './loss-causes.tsx'

/** Finishing: asks once for causes where a pile came out otherwise than expected, then closes and shows the verdict. */
export function useFinish(live: LiveFabrication) {
  const { record, document, marks } = live
  const navigate = useNavigate()
  const change = useUpdateFabrication(record.id)
  const [isAsking, setAsking] = useState(false)
  const outcomes = outsideRange(record.piles, document.piles, record.purchase.invoiceWeight)
  const doubt = labourDoubt(record, marks, live.nowMs)
  const { standing } = live
  const isAllWeighed = nextPile(progressOf(record, standing)) === null
  const invoice = invoiceDoubt({ document, standing, limits: DEFAULT_LIMITS, isAllWeighed })
  const estimated = record.weightFrom === 'estimated' ? record.purchase.invoiceWeight : null
  const close = ({ causes, answer, invoiceWeight }: EndAnswers) => {
    // What the clocks measured becomes the record's own labour, where it may be corrected.
    const nowMs = Date.now()
    const { entries, source } = answer
      ? labourAnswered(record, marks, nowMs, live.cookName, answer)
      : labourAtEnd(record, marks, nowMs, live.cookName)
    change.mutate(
      editOf(record, {
        status: 'closed',
        causes: causes.map((cause) => ({ ...cause, isLasting: false })),
        labour: [...entries],
        labourFrom: source,
        ...(invoiceWeight === null ? {} : { purchase: { ...record.purchase, invoiceWeight }, weightFrom: 'invoice' }),
      }),
      {
        onSuccess: () => {
          // Opened again some day, the record must not count the time between.
          for (const { cookId, isRunning } of labourClocks(marks, Date.now())) {
            if (isRunning) void live.mark('the clock is stopped', { mark: 'labour-pause', cookId })
          }
          navigate(`/verdict/${record.id}`)
        },
      },
    )
  }
  return {
    outcomes,
    doubt,
    invoice,
    estimated,
    isAsking,
    change,
    stopAsking: () => setAsking(false),
    close,
    finish: () => {
      if (record.status !== 'open' || live.standing.length === 0) return
      if (outcomes.length > 0 || doubt || invoice || estimated !== null) setAsking(true)
      else close({ causes: [], answer: null, invoiceWeight: null })
    },
  }
}
