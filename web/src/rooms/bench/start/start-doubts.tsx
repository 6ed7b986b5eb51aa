import type { Item } from '@fleam/contract'
import { startDoubts } from '@fleam/core'
import { useFormat } from '../../../parts/use-format.ts'
import css from './start-doubts.module.css'
import type { StartFields } from './start-fields.ts'

const number = (value: unknown) => (typeof value === 'number' && Number.isFinite(value) ? value : null)

/** What looks wrong before anything is weighed: asked in one line, and nothing is held up. */
export function StartDoubts({ said, item }: { said: StartFields; item: Item }) {
  const format = useFormat()
  const { one, many } = item.unitName
  const { low, high } = item.unitWeight
  const [units, invoiceWeight, receivedWeight] = [said.units, said.invoiceWeight, said.receivedWeight].map(number)
  const doubts = startDoubts({
    units: units ?? null,
    invoiceWeight: invoiceWeight ?? null,
    receivedWeight: receivedWeight ?? null,
    unitWeight: item.unitWeight,
  })
  const words = doubts.map((doubt) =>
    doubt.code === 'unit-weight'
      ? `That is ${format.weight(doubt.each)} for one ${one}, usually ${format.weight(low)} to ${format.weight(high)}. Is the weight, its unit, or the number of ${many} right?`
      : `${format.share(doubt.share)} of the invoice’s weight was received. Is the weight or its unit right?`,
  )
  const free = said.amount === 0 ? ['A price of 0.00: leave it empty if you do not know it.'] : []
  return (
    <div className={`wide ${css.startDoubts}`} role="status" aria-label="Question">
      {[...words, ...free].map((each) => (
        <p key={each}>{each}</p>
      ))}
    </div>
  )
}
