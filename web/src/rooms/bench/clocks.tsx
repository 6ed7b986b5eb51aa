import { coldClock, labourClocks } from '@fleam/core'
import { CirclePause, CirclePlay, Snowflake } from 'lucide-react'
import Button from 'react-bootstrap/Button'
import { useCooks } from '../../data/queries.ts'
import { useKitchenCautions } from '../../parts/cautions.ts'
import { useKitchen } from '../../parts/kitchen-context.ts'
import type { Bench } from './use-bench.ts'

const whole = (minutes: number) => `${Math.floor(minutes)} min`

/** How long it has been out of the cold, and whose time runs: the labour that the verdict pays. */
export function Clocks({ bench }: { bench: Bench }) {
  const { record, marks, nowMs } = bench.live
  const { coldLimits } = useKitchenCautions()
  if (record.status === 'closed') return null
  const cold = coldClock(marks, record.startedAt, nowMs, coldLimits)
  return (
    <>
      <div className={`cold ${cold.level}`} role="timer" aria-label="Out of the cold">
        <p>
          <strong>{cold.isOut ? `On the board ${whole(cold.boardMinutes)}` : 'In the cold'}</strong>
          <span>
            {whole(cold.outMinutes)} of {coldLimits.outMinutes} in all{COLD_WORDS[cold.level]}
          </span>
        </p>
        <Button
          variant="outline-dark"
          onClick={() => void bench.live.mark({ kind: cold.isOut ? 'cold-in' : 'cold-out' })}
        >
          <Snowflake size={20} aria-hidden /> {cold.isOut ? 'Back in' : 'Out again'}
        </Button>
      </div>
      <CookClocks bench={bench} />
    </>
  )
}

const COLD_WORDS = { ok: '', amber: ': soon back', red: ': back into the cold' } as const

/** One clock a cook; the cook of this device can always start one. */
function CookClocks({ bench }: { bench: Bench }) {
  const { record, marks, nowMs, mark } = bench.live
  const { data: cooks = [] } = useCooks()
  const kitchen = useKitchen()
  const clocks = labourClocks(marks, nowMs)
  const me = bench.settings.cook ?? record.cook ?? 'Cook'
  const shown = clocks.some((clock) => clock.cook === me)
    ? clocks
    : [...clocks, { cook: me, ratePerHour: 0, minutes: 0, isRunning: false }]
  const rateOf = (cook: string) => cooks.find((each) => each.name === cook)?.wagePerHour ?? kitchen.wagePerHour
  const toggle = (cook: string, isRunning: boolean) =>
    void mark(isRunning ? { kind: 'labour-pause', cook } : { kind: 'labour-start', cook, ratePerHour: rateOf(cook) })
  return (
    <ul className="cook-clocks" aria-label="Clocks of the cooks">
      {shown.map(({ cook, minutes, isRunning }) => (
        <li key={cook}>
          <Button variant="outline-dark" aria-pressed={isRunning} onClick={() => toggle(cook, isRunning)}>
            {isRunning ? <CirclePause size={20} aria-hidden /> : <CirclePlay size={20} aria-hidden />}
            <span>
              {cook}
              <small>{minutes > 0 || isRunning ? whole(minutes) : 'start the clock'}</small>
            </span>
          </Button>
        </li>
      ))}
    </ul>
  )
}
