import { labourClocks } from '@fleam/core/fabrication'
import { givenSteps } from '@fleam/core/weighing'
import { CirclePause, CirclePlay } from 'lucide-react'
import Button from 'react-bootstrap/Button'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useCooks } from '../../../data/queries.ts'
import type { Bench } from '../state/use-bench.ts'
import css from './clocks.module.css'

const whole = (minutes: number) => `${Math.floor(minutes)} min`
/** One touch says who works at this device; the clock beside the names is theirs. */
export function WhoWorksHere({ bench }: { bench: Bench }) {
  const { marks, nowMs, mark } = bench.live
  const { data: cooks = [] } = useCooks()
  const kitchen = useKitchen()
  const clocks = new Map(labourClocks(marks, nowMs).map((clock) => [clock.cookId, clock]))
  const me = bench.settings.cookId ?? bench.live.record.cookId
  const nameOf = (cookId: string | null) => (cookId === null ? null : bench.live.cookName(cookId))
  const mine = clocks.get(me)
  // In the order of the kitchen's list, so that no name moves under the finger; before it is there, those who are known.
  const here = [...clocks.keys(), me].filter((id): id is string => id !== null)
  const ids = cooks.length > 0 ? cooks.map(({ id }) => id) : [...new Set(here)]
  const isRunning = mine?.isRunning ?? false
  const toggle = () => {
    const ratePerHour = cooks.find(({ id }) => id === me)?.wagePerHour ?? kitchen.wagePerHour
    void mark(
      `${isRunning ? 'pause' : 'start'} the clock of ${nameOf(me) ?? 'the cook'}`,
      isRunning ? { mark: 'labour-pause', cookId: me } : { mark: 'labour-start', cookId: me, ratePerHour },
    )
  }
  // Who has a part of a line is led to it.
  const choose = (cookId: string) => {
    bench.settings.change({ cookId })
    const given = givenSteps(marks)
    const { steps } = bench.live.record
    const first = steps.findIndex(({ id }) => given.get(id) === cookId)
    if (first >= 0 && given.get(steps[bench.stepAt]?.id ?? '') !== cookId) bench.goToStep(first)
  }
  return (
    <>
      <fieldset className={css.whoWorksHere} aria-label="Who works here">
        {ids.map((cookId) => (
          <Button key={cookId} variant="outline-dark" aria-pressed={cookId === me} onClick={() => choose(cookId)}>
            <span>
              {nameOf(cookId) ?? 'Cook'}
              <ClockWords minutes={clocks.get(cookId)?.minutes} isRunning={clocks.get(cookId)?.isRunning} />
            </span>
          </Button>
        ))}
      </fieldset>
      <Button variant="outline-dark" className={css.ownClock} aria-pressed={isRunning} onClick={toggle}>
        {isRunning ? <CirclePause size={20} aria-hidden /> : <CirclePlay size={20} aria-hidden />}
        <span>
          {mine ? whole(mine.minutes) : 'Clock'}
          <small>{isRunning ? 'pause the clock' : 'start the clock'}</small>
        </span>
      </Button>
    </>
  )
}

const ClockWords = ({ minutes, isRunning }: { minutes: number | undefined; isRunning: boolean | undefined }) =>
  minutes === undefined ? null : <small>{isRunning ? whole(minutes) : `${whole(minutes)}, paused`}</small>
