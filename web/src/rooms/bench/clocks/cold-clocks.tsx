import type { ColdLoad } from '@fleam/core/fabrication'
import { outWords, overWords } from '@fleam/core/wording'
import { Refrigerator, Snowflake } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import Button from 'react-bootstrap/Button'
import overCss from '../../../parts/cold-over.module.css'
import { type ColdState, useColdLoads } from '../state/use-cold-loads.ts'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'
import css from './clocks.module.css'

/** Looked at when loads are told apart, and loaded then. */
const LoadsDialog = lazy(() => import('./loads-dialog.tsx'))

const whole = (minutes: number) => `${Math.floor(minutes)} min`

/** How long what is on the board has been out of the cold: one clock for each load of a batch. `cookId` takes out the next. */
export function ColdClocks({ live, cookId }: { live: LiveFabrication; cookId: string | null }) {
  const cold = useColdLoads(live)
  const [only, ...others] = cold.loads
  if (only && others.length === 0 && cold.waiting === 0) return <OneLoad live={live} load={only} cold={cold} />
  return <ManyLoads live={live} cold={cold} cookId={cookId} />
}

interface OneLoadProps {
  live: LiveFabrication
  load: ColdLoad
  cold: ColdState
}

function OneLoad({ live, load, cold }: OneLoadProps) {
  return (
    <div className={`${css.cold} ${css[load.level] ?? ''}`} role="timer" aria-label="Out of the cold">
      <p>
        <strong>{load.isOut ? `Out of the fridge ${whole(load.boardMinutes)}` : 'In the fridge'}</strong>
        <span>{overWords(load) ?? outWords(load, cold.limits)}</span>
      </p>
      <Button
        variant="outline-dark"
        onClick={() =>
          void live.mark(load.isOut ? 'back in the fridge' : 'out of the fridge', {
            mark: load.isOut ? 'cold-in' : 'cold-out',
          })
        }
      >
        <Snowflake size={20} aria-hidden /> {load.isOut ? 'Back in the fridge' : 'Out again'}
      </Button>
    </div>
  )
}

/** Loads that have been out for too long, in sight wherever the bench is scrolled to. */
export function OverInSight({ live }: { live: LiveFabrication }) {
  const { loads, waiting } = useColdLoads(live)
  const over = loads.flatMap((load) => {
    const words = overWords(load)
    return words === null
      ? []
      : [`${loads.length > 1 || waiting > 0 ? `Load ${load.load}` : 'Out of the cold'}: ${words}`]
  })
  if (live.record.status !== 'open' || over.length === 0) return null
  return (
    <p className={`${overCss.over} ${overCss.inSight}`} role="alert">
      {over.join(' · ')}
    </p>
  )
}

/** A load that is out: whose it is, how long, and one touch to put it back. */
function LoadButton({ live, load, limits }: { live: LiveFabrication; load: ColdLoad; limits: ColdState['limits'] }) {
  const title = `Load ${load.load} (${load.units}${nameOfLoad(live, load)}): out ${whole(load.boardMinutes)}`
  const more = overWords(load) ?? `Back in the fridge · ${outWords(load, limits)}`
  return (
    <Button
      variant="outline-dark"
      className={`${css.cold} ${css[load.level] ?? ''}`}
      // Its clock is a timer of its own, which a button's name would leave out.
      aria-label={`${title}. ${more}`}
      onClick={() => void live.mark(`load ${load.load} back in the fridge`, { mark: 'cold-in', load: load.load })}
    >
      <Snowflake size={20} aria-hidden />
      <span>
        <strong role="timer">{title}</strong>
        <small>{more}</small>
      </span>
    </Button>
  )
}

/** Who took it out; the first is of whose job it is. Beside its number of birds. */
function nameOfLoad(live: LiveFabrication, { load, cookId }: ColdLoad): string {
  const name = live.cookName(cookId ?? (load === 1 ? live.record.cookId : null) ?? '')
  return name ? `, ${name}` : ''
}

/** Loads that are out, one touch each to put them back; and the next one to take out. */
function ManyLoads({ live, cold, cookId }: { live: LiveFabrication; cold: ColdState; cookId: string | null }) {
  const [isOpen, setOpen] = useState(false)
  const { loads, waiting, nextUnits } = cold
  const out = loads.filter(({ isOut }) => isOut)
  const next = loads.length + 1
  const back = loads.length - out.length
  const whose = cookId === null ? undefined : live.cookName(cookId)
  return (
    <section className={css.coldLoads} aria-label="Out of the cold">
      {out.map((load) => (
        <LoadButton key={load.load} live={live} load={load} limits={cold.limits} />
      ))}
      {waiting > 0 ? (
        <Button
          variant="outline-dark"
          className={css.cold}
          onClick={() =>
            void live.mark(`load ${next} out of the fridge`, {
              mark: 'cold-out',
              cookId,
              load: next,
              units: nextUnits,
            })
          }
        >
          <Refrigerator size={20} aria-hidden />
          <span>
            <strong>Take out {nextUnits}</strong>
            <small>
              load {next}
              {whose ? `, ${whose}` : ''}; {waiting} wait
            </small>
          </span>
        </Button>
      ) : null}
      <Button variant="outline-dark" onClick={() => setOpen(true)}>
        <span>
          Loads
          <small>{back} back</small>
        </span>
      </Button>
      {isOpen ? (
        <Suspense fallback={null}>
          <LoadsDialog live={live} cold={cold} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </section>
  )
}
