import type { DraftPin, PlanGoods } from '@fleam/core/planning'
import Button from 'react-bootstrap/Button'
import { dayWords } from '../../parts/dates.ts'
import type { Pinning } from './plan-parts.ts'

interface LeftOutProps {
  pinning: Pinning | null
  kinds: readonly DraftPin['kind'][]
  goods: PlanGoods
}

/** What is left out of a plan by hand, altogether or on one day, each with the touch that allows it again. */
export function LeftOut({ pinning, kinds, goods }: LeftOutProps) {
  const pins = pinning?.pins.filter(({ kind, atMost }) => kinds.includes(kind) && atMost === 0) ?? []
  if (pins.length === 0) return null
  const lists = { whole: goods.wholes, ready: goods.ready, cut: goods.cuts, supplier: goods.suppliers }
  const nameOf = ({ kind, id, day }: DraftPin) => {
    const name = lists[kind].find((line) => line.id === id)?.name ?? 'something that is not there any more'
    return day === null ? name : `${name} on ${dayWords(day)}`
  }
  return (
    <p className="no-print">
      Left out:{' '}
      {pins.map((pin) => (
        <Button
          key={`${pin.kind} ${pin.id} ${pin.day}`}
          size="sm"
          variant="outline-dark"
          onClick={() => pinning?.setPin({ ...pin, atLeast: null, atMost: null })}
        >
          {nameOf(pin)}: allow again
        </Button>
      ))}
    </p>
  )
}
