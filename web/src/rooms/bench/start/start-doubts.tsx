import type { Price } from '@fleam/core/fabrication'
import type { Item } from '@fleam/core/style'
import { type StartDoubt, startDoubts } from '@fleam/core/weighing'
import Button from 'react-bootstrap/Button'
import { PER_WORDS } from '../../../parts/price-words.ts'
import { useFormat } from '../../../parts/use-format.ts'
import css from './start-doubts.module.css'
import type { StartFields } from './start-fields.ts'

const number = (value: unknown) => (typeof value === 'number' && Number.isFinite(value) ? value : null)

interface StartDoubtsProps {
  fields: StartFields
  item: Item
  /** What was paid for it last; null where nobody knows. */
  lastPrice: Price | null
  /** The invoice weight was meant in another unit. */
  onMeant: (grams: number) => void
}

/** What looks wrong before anything is weighed: asked in one line, and nothing is held up. */
export function StartDoubts({ fields, item, lastPrice, onMeant }: StartDoubtsProps) {
  const format = useFormat()
  const { one, many } = item.unitName
  const { low, high } = item.unitWeight
  const [units, invoiceWeight, receivedWeight, amount] = [
    fields.units,
    fields.invoiceWeight,
    fields.receivedWeight,
    fields.amount,
  ].map(number)
  const doubts = startDoubts({
    units: units ?? null,
    invoiceWeight: invoiceWeight ?? null,
    receivedWeight: receivedWeight ?? null,
    unitWeight: item.unitWeight,
    price: amount === null || amount === undefined ? null : { amount, per: fields.per },
    lastPrice,
  })
  const wordsOf = (doubt: StartDoubt): string => {
    switch (doubt.code) {
      case 'unit-weight':
        return `That is ${format.weight(doubt.unitWeight)} for one ${one}, usually ${format.weight(low)} to ${format.weight(high)}. Is the weight, its unit, or the number of ${many} right?`
      case 'received-weight':
        return `${format.share(doubt.share)} of the invoice’s weight was received. Is the weight or its unit right?`
      case 'price':
        return `${format.money(doubt.amount)} ${PER_WORDS[doubt.last.per]}: last time it was ${format.money(doubt.last.amount)}. Is the price right?`
    }
  }
  const free = fields.amount === 0 ? ['A price of 0.00: leave it empty if you do not know it.'] : []
  return (
    <div className={`wide ${css.startDoubts}`} role="status" aria-label="Question">
      {doubts.map((doubt) => (
        <p key={doubt.code}>
          {wordsOf(doubt)}{' '}
          {doubt.code === 'unit-weight' && doubt.meant !== null ? (
            <Button size="sm" variant="outline-dark" onClick={() => onMeant(doubt.meant as number)}>
              It is {format.weight(doubt.meant)}
            </Button>
          ) : null}
        </p>
      ))}
      {free.map((words) => (
        <p key={words}>{words}</p>
      ))}
    </div>
  )
}
