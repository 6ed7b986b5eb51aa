import { coldClock, labourClocks } from '@fleam/core'
import { CirclePause, CirclePlay, Snowflake } from 'lucide-react'
import Button from 'react-bootstrap/Button'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useCooks } from '../../data/queries.ts'
import { useKitchenCautions } from '../../parts/cautions.ts'
import { LoadLine } from './loads.tsx'
import type { Bench } from './use-bench.ts'

const whole = (minutes: number) => `${Math.floor(minutes)} min`

/** How long it has been out of the cold, and whose time runs: the labour that the verdict pays. */
export function Clocks({ bench }: { bench: Bench }) {
  const { record, marks, nowMs } = bench.live
  const { coldLimits } = useKitchenCautions()
  if (record.status !== 'open') return null
  const cold = coldClock(marks, record.startedAt, nowMs, coldLimits)
  return (
    <>
      <div className={`cold ${cold.level}`} role="timer" aria-label="Out of the cold">
        <p>
          <strong>{cold.isOut ? `Out of the fridge ${whole(cold.boardMinutes)}` : 'In the fridge'}</strong>
          <span>
            {whole(cold.outMinutes)} of {coldLimits.outMinutes} in all{COLD_WORDS[cold.level]}
          </span>
          <LoadLine live={bench.live} />
        </p>
        <Button
          variant="outline-dark"
          onClick={() =>
            void bench.live.mark(cold.isOut ? 'back in the fridge' : 'out of the fridge', {
              mark: cold.isOut ? 'cold-in' : 'cold-out',
            })
          }
        >
          <Snowflake size={20} aria-hidden /> {cold.isOut ? 'Back in the fridge' : 'Out again'}
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
  const me = bench.settings.cookId ?? record.cookId
  const shown = clocks.some((clock) => clock.cookId === me)
    ? clocks
    : [...clocks, { cookId: me, ratePerHour: 0, minutes: 0, isRunning: false }]
  const rateOf = (cookId: string | null) => cooks.find((each) => each.id === cookId)?.wagePerHour ?? kitchen.wagePerHour
  const toggle = (cookId: string | null, isRunning: boolean) =>
    void mark(
      `${isRunning ? 'pause' : 'start'} the clock of ${(cookId && bench.live.cookName(cookId)) ?? 'the cook'}`,
      isRunning ? { mark: 'labour-pause', cookId } : { mark: 'labour-start', cookId, ratePerHour: rateOf(cookId) },
    )
  return (
    <ul className="cook-clocks" aria-label="Clocks of the cooks">
      {shown.map(({ cookId, minutes, isRunning }) => (
        <li key={cookId}>
          <Button variant="outline-dark" aria-pressed={isRunning} onClick={() => toggle(cookId, isRunning)}>
            {isRunning ? <CirclePause size={20} aria-hidden /> : <CirclePlay size={20} aria-hidden />}
            <span>
              {(cookId && bench.live.cookName(cookId)) ?? 'Cook'}
              <small>{minutes > 0 || isRunning ? whole(minutes) : 'start the clock'}</small>
            </span>
          </Button>
        </li>
      ))}
    </ul>
  )
}
