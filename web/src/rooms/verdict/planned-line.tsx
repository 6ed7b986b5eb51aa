import { Link } from 'react-router-dom'
import { usePlannedOf } from '../../data/planning-queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { useFormat } from '../../parts/use-format.ts'

const sum = (portions: readonly { quantity: number }[]) => portions.reduce((all, { quantity }) => all + quantity, 0)

/** What was planned of a record, and what it was: portions, minutes and money. */
export function PlannedLine({ fabricationId }: { fabricationId: string }) {
  const planned = usePlannedOf(fabricationId)
  const format = useFormat()
  const line = planned.data?.[0]
  if (!line?.real) return null
  const { real } = line
  const words = (portions: number, minutes: number, money: number) =>
    `${format.quantity(portions, 'count')} portions, ${format.quantity(minutes, 'minutes')}, ${format.money(money)}`
  return (
    <p>
      Planned in <Link to={`/plan/${line.planId}`}>{line.plan}</Link> for {dayWords(line.day)}:{' '}
      {words(sum(line.portions), line.minutes, line.money)}. It was{' '}
      {words(sum(real.portions), real.minutes, real.money)}.
    </p>
  )
}
