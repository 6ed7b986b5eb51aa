interface TurningStripProps {
  now: number
  turnsAt: number
}

const WIDTH = 120
const HEIGHT = 18
const MARK = 3
/** The further of the two stands at this share of the strip. */
const REACH = 0.85

/** Today's value (a bar) and where the verdict turns (a gap in a dashed line), with the room between them. */
export function TurningStrip({ now, turnsAt }: TurningStripProps) {
  const most = Math.max(now, turnsAt)
  const x = (value: number) => (most > 0 ? (value / most) * WIDTH * REACH : 0)
  const [from, to] = [Math.min(x(now), x(turnsAt)), Math.max(x(now), x(turnsAt))]
  return (
    <svg className="turning-strip" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      <line className="base" x1={0} x2={WIDTH} y1={HEIGHT / 2} y2={HEIGHT / 2} />
      <rect className="room" x={from} y={6} width={Math.max(1, to - from)} height={6} />
      <rect className="now" x={x(now)} y={2} width={MARK} height={14} />
      <line className="turn" x1={x(turnsAt)} x2={x(turnsAt)} y1={0} y2={HEIGHT} />
    </svg>
  )
}
