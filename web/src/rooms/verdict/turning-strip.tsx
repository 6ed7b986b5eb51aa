import css from './turning-strip.module.css'

interface TurningStripProps {
  now: number
  turnsAt: number
}

/** The further of the two stands at this share of the strip, percent. */
const REACH = 85

/** Today's value (a bar) and where the verdict turns (a dashed line), with the room between them. */
export function TurningStrip({ now, turnsAt }: TurningStripProps) {
  const most = Math.max(now, turnsAt)
  const x = (value: number) => (most > 0 ? (value / most) * REACH : 0)
  const [from, to] = [Math.min(x(now), x(turnsAt)), Math.max(x(now), x(turnsAt))]
  return (
    <svg className={css.turningStrip} aria-hidden>
      <line className={css.base} x1="0" x2="100%" y1="9" y2="9" />
      <rect className="room" x={`${from}%`} y="4" width={`${to - from}%`} height="10" />
      <line className={css.now} x1={`${x(now)}%`} x2={`${x(now)}%`} y1="1" y2="17" />
      <line className={css.turn} x1={`${x(turnsAt)}%`} x2={`${x(turnsAt)}%`} y1="0" y2="18" />
    </svg>
  )
}
